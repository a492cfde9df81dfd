<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'

/** The year of the section: humidity at the interface of interest, and what condenses and dries, month by month. */
const props = defineProps<{ year: Schemas['YearAnswer'] | null }>()
const { t } = useI18n()
const { listed } = useWriting()
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
      <details class="small">
        <summary>{{ t('section.year.table') }}</summary>
        <div class="scroll" tabindex="0" role="region" :aria-label="t('section.year.table')">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ t('section.year.month') }}</th>
                <th scope="col">{{ t('section.year.outdoor') }}</th>
                <th scope="col">{{ t('section.year.room') }}</th>
                <th scope="col">{{ t('section.year.at') }}</th>
                <th scope="col">{{ t('section.year.condensed') }}</th>
                <th scope="col">{{ t('section.year.lies') }}</th>
                <th scope="col">{{ t('section.year.surface') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="m in months" :key="m.key">
                <th scope="row">{{ t(`month.${m.key}`) }}</th>
                <td>{{ listed([reader.print(m.air?.outdoorTemp), reader.print(m.air?.outdoorRh)]) }}</td>
                <td>{{ listed([reader.print(m.air?.indoorTemp), reader.print(m.air?.indoorRh)]) }}</td>
                <td class="at">
                  <i18n-t keypath="writing.labelled" scope="global">
                    <template #label>{{ text.place(m.month.at) }}</template>
                    <template #value
                      ><span>{{ listed([reader.print(m.month.atTemp), reader.print(m.month.atRh)]) }}</span></template
                    >
                  </i18n-t>
                </td>
                <td>{{ reader.print(m.month.condensed) }}</td>
                <td>{{ reader.print(m.month.stored) }}</td>
                <td>{{ reader.print(m.month.surfaceRh) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </details>
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
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: right;
  padding: 4px 14px 4px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
  font-weight: 400;
}
.at span {
  white-space: nowrap;
}
.at {
  white-space: normal;
  min-width: 150px;
}
th:first-child {
  text-align: left;
}
</style>
