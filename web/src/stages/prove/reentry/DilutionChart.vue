<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { useTimesIn } from '@/shared/state/times'
import ChartBox from '@/shared/ui/ChartBox.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import type { Column } from '@/shared/ui/dataTable'

/** How the air clears by the air that was moved, with a table behind it. It never stands in for the hours of the sheet. */
const props = defineProps<{
  points: readonly Schemas['DilutionAnswer'][]
  times: ReturnType<typeof useTimesIn>
}>()
const { t, n } = useI18n()
// Less than this is drawn on the axis.
const LEAST = 0.01
const hour = (at: string) => props.times.hour(at)
const option = computed(() => ({
  grid: { left: 54, right: 16, top: 14, bottom: 30 },
  xAxis: { type: 'category', data: props.points.map(({ at }) => hour(at)), axisLabel: { hideOverlap: true } },
  yAxis: { type: 'log', min: LEAST, max: 100, axisLabel: { formatter: '{value} %' } },
  series: [
    {
      type: 'line',
      showSymbol: false,
      color: '#0d6b60',
      data: props.points.map(({ leftPct }) => Math.max(LEAST, leftPct)),
    },
  ],
}))
const columns = computed((): Column<Schemas['DilutionAnswer']>[] => [
  { key: 'at', label: t('prove.reEntry.time'), text: ({ at }) => hour(at) },
  { key: 'left', label: t('prove.reEntry.leftPct'), text: ({ leftPct }) => n(leftPct), figure: true },
])
</script>

<template>
  <section>
    <h2>{{ t('prove.reEntry.chart') }}</h2>
    <p class="small">{{ t('prove.reEntry.chartLead') }}</p>
    <ChartBox :option="option" :label="t('prove.reEntry.chart')" :height="200" />
    <FoldBox :title="t('prove.reEntry.table')">
      <DataTable :columns="columns" :rows="points" :label="t('prove.reEntry.chart')" :by="({ at }) => at" />
    </FoldBox>
  </section>
</template>
