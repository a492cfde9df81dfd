<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Hour } from '@/shared/hours/useHours'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'

/** The hours as a table: what stands behind strip and chart. */
const props = defineProps<{ hours: Hour[]; runs: number; when: (instant: string) => string }>()
const { t } = useI18n()
const reader = useReader()
const FIGURES = ['substrate', 'dew', 'apart', 'air', 'humidity', 'gust', 'rain', 'start'] as const
const columns = computed(() => [
  { key: 'hour', label: t('hours.col.hour'), text: (hour: Hour) => props.when(hour.start) },
  { key: 'verdict', label: t('hours.col.verdict') },
  {
    key: 'passing',
    label: t('hours.col.passing'),
    text: (hour: Hour) => (hour.verdict ? t('hours.ofRuns', { passing: hour.passing, runs: props.runs }) : ''),
    figure: true,
  },
  ...FIGURES.map((key) => ({
    key,
    label: t(`hours.col.${key}`),
    text: (hour: Hour) => reader.print(hour.figures[key]),
    figure: true,
  })),
])
</script>

<template>
  <DataTable :rows="hours" :columns="columns" :label="t('hours.table')" :by="(hour) => hour.start">
    <template #verdict="{ row }"><VerdictMark :verdict="row.verdict" word /></template>
  </DataTable>
</template>
