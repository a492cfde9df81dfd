<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useClock } from '@/shared/state/clock'
import { useReader } from '@/shared/state/reader'
import { useTimes } from '@/shared/state/times'

/** A usual year of a surface: in which months it can be sprayed unheated, and what holds the rest. */
const props = defineProps<{ job: string; surface: string }>()
const { t, d } = useI18n()
const reader = useReader()
const now = useClock()
const times = useTimes(() => props.job)
const known = useQuery({
  queryKey: ['surface', () => props.surface, 'months'],
  queryFn: () => ask(api.GET('/api/surfaces/{id}/months', { params: { path: { id: props.surface } } })),
})
const months = computed(() => known.data.value?.months ?? [])
const ofYear = (month: number, style: 'short' | 'long') =>
  d(new Date(Date.UTC(2001, month - 1, 15)), { month: style, timeZone: 'UTC' })
const present = computed(() => Number(times.date(now.value).slice(5, 7)))

const said = (month: Schemas['MonthOfSurface']) =>
  t(month.limit ? 'hours.months.one' : 'hours.months.oneOpen', {
    month: ofYear(month.month, 'long'),
    open: reader.print(month.open),
    limit: month.limit ? t(`hours.by.${month.limit}`) : '',
  })

// Months one after another that the same rule holds are told together.
const spells = computed(() => {
  const groups: { from: number; to: number; limit: Schemas['HourLimit'] }[] = []
  for (const { month, limit } of months.value) {
    const last = groups.at(-1)
    if (last && last.to === month - 1 && last.limit === limit) last.to = month
    else if (limit) groups.push({ from: month, to: month, limit })
  }
  return groups.map(({ from, to, limit }) =>
    t(from === to ? 'hours.months.spellOne' : 'hours.months.spell', {
      from: ofYear(from, 'short'),
      to: ofYear(to, 'short'),
      limit: t(`hours.by.${limit}`),
    }),
  )
})
</script>

<template>
  <section v-if="months.length" class="months" :aria-label="t('hours.months.title')">
    <h2>{{ t('hours.months.title') }}</h2>
    <p class="small quiet">
      {{ t('hours.months.lead') }}
      {{ t(`hours.months.of.${known.data.value!.source === 'usualYear' ? 'usualYear' : 'generatedYear'}`) }}
    </p>
    <ol>
      <li v-for="month in months" :key="month.month" :class="{ present: month.month === present }" :title="said(month)">
        <span class="visually-hidden">{{ said(month) }}</span>
        <span class="field" aria-hidden="true"><i :style="{ height: `${month.open.amount}%` }" /></span>
        <b aria-hidden="true">{{ ofYear(month.month, 'short') }}</b>
        <small aria-hidden="true">{{ reader.print(month.open) }}</small>
      </li>
    </ol>
    <p v-if="spells.length" class="small">{{ t('hours.months.spells', { list: spells.join('; ') }) }}</p>
  </section>
</template>

<style scoped>
.months {
  border-top: 2px solid var(--ink);
  margin-top: 14px;
  padding-top: 10px;
}
ol {
  list-style: none;
  margin: 8px 0 6px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  gap: 3px;
}
li {
  display: grid;
  justify-items: center;
  font-size: var(--text-s);
  line-height: 1.25;
}
.field {
  display: flex;
  align-items: end;
  width: 100%;
  height: 44px;
  background: var(--shadow);
}
.field i {
  width: 100%;
  background: var(--daylight);
}
.present .field {
  box-shadow: 0 0 0 2px var(--copper);
}
@media (max-width: 600px) {
  ol {
    grid-template-columns: repeat(6, minmax(0, 1fr));
    row-gap: 8px;
  }
}
</style>
