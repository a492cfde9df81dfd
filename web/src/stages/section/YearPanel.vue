<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import type { Column } from '@/shared/ui/dataTable'

/** The year of the section: humidity at the interface of interest, and what condenses and dries, month by month. */
const props = defineProps<{ year: Schemas['YearAnswer'] | null }>()
const { t } = useI18n()
const { listed, labelled } = useWriting()
const reader = useReader()
const text = useFindingText()

const MONTH = 52
const HIGH = 150
const FOOT = 126
const TOP = 12
const LIMIT = 80

const place = computed(() => (props.year ? text.place(props.year.dampest) : ''))
const yOf = (percent: number) => FOOT - (percent / 100) * (FOOT - TOP)
const months = computed(() =>
  (props.year?.months ?? []).map((month, i) => {
    const share = props.year!.greatestStoredKgM2 > 1e-4 ? month.storedKgM2 / props.year!.greatestStoredKgM2 : 0
    return {
      key: i + 1,
      month,
      air: props.year!.air[i],
      x: i * MONTH,
      y: yOf(month.dampestRhPct),
      over: month.dampestRhPct > LIMIT,
      lies: Math.max(0, share) * (FOOT - TOP) * 0.42,
    }
  }),
)
const line = computed(() => months.value.map((m) => `${m.x + MONTH / 2},${m.y}`).join(' '))
const columns = computed((): Column<(typeof months.value)[number]>[] => [
  { key: 'month', label: t('section.year.month'), text: (m) => t(`month.${m.key}`) },
  {
    key: 'outdoor',
    label: t('section.year.outdoor'),
    text: ({ air }) => listed([reader.print(air?.outdoorTemp), reader.print(air?.outdoorRh)]),
    figure: true,
  },
  {
    key: 'room',
    label: t('section.year.room'),
    text: ({ air }) => listed([reader.print(air?.indoorTemp), reader.print(air?.indoorRh)]),
    figure: true,
  },
  {
    key: 'at',
    label: t('section.year.at'),
    text: ({ month }) => labelled(text.place(month.at), listed([reader.print(month.atTemp), reader.print(month.atRh)])),
  },
  { key: 'condensed', label: t('section.year.condensed'), text: (m) => reader.print(m.month.condensed), figure: true },
  { key: 'lies', label: t('section.year.lies'), text: (m) => reader.print(m.month.stored), figure: true },
  { key: 'surface', label: t('section.year.surface'), text: (m) => reader.print(m.month.surfaceRh), figure: true },
])
</script>

<template>
  <section class="year">
    <h2>{{ t('section.year.title') }}</h2>
    <p v-if="!year" class="quiet">{{ t('section.year.none') }}</p>
    <template v-else>
      <p class="small quiet">{{ t('section.year.lead') }}</p>
      <svg
        :viewBox="`0 0 ${MONTH * 12} ${HIGH}`"
        role="img"
        :aria-label="t('section.year.chart', { place, greatest: reader.print(year.dampestRh) })"
      >
        <rect :width="MONTH * 12" :y="TOP" :height="FOOT - TOP" fill="var(--sheet)" />
        <rect
          v-for="m in months.filter((one) => one.over)"
          :key="`o${m.key}`"
          :x="m.x"
          :y="TOP"
          :width="MONTH"
          :height="m.y - TOP + (yOf(LIMIT) - m.y)"
          fill="var(--hold)"
          fill-opacity=".14"
        />
        <rect
          v-for="m in months"
          :key="`l${m.key}`"
          :x="m.x + 12"
          :y="FOOT - m.lies"
          :width="MONTH - 24"
          :height="m.lies"
          fill="var(--ink-2)"
          fill-opacity=".5"
        />
        <line x1="0" :x2="MONTH * 12" :y1="yOf(LIMIT)" :y2="yOf(LIMIT)" stroke="var(--hold)" stroke-dasharray="5 4" />
        <text x="4" :y="yOf(LIMIT) - 4" class="limit">{{ t('section.year.limit') }}</text>
        <polyline :points="line" fill="none" stroke="var(--copper)" stroke-width="2.5" />
        <circle v-for="m in months" :key="`c${m.key}`" :cx="m.x + MONTH / 2" :cy="m.y" r="3.5" fill="var(--copper)" />
        <text v-for="m in months" :key="`t${m.key}`" :x="m.x + MONTH / 2" :y="HIGH - 6" text-anchor="middle">
          {{ t(`monthShort.${m.key}`) }}
        </text>
      </svg>
      <p class="key small">
        <i class="rh" /> {{ t('section.year.humidity', { place }) }} <i class="lies" /> {{ t('section.year.stored') }}
      </p>
      <FoldBox class="small" :title="t('section.year.table')">
        <DataTable :label="t('section.year.table')" :columns="columns" :rows="months" :by="(m) => m.key" />
      </FoldBox>
    </template>
  </section>
</template>

<style scoped>
.year {
  margin-top: 24px;
}
svg {
  width: 100%;
  max-width: 720px;
  height: auto;
  display: block;
  margin-top: 8px;
}
text {
  font: 12px var(--body);
  fill: var(--ink-2);
}
.limit {
  fill: var(--hold);
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.key i {
  width: 22px;
  height: 4px;
  background: var(--copper);
}
.key .lies {
  height: 12px;
  background: var(--ink-2);
  opacity: 0.5;
  margin-left: 14px;
}
</style>
