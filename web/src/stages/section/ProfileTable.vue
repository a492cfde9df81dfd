<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import type { Column } from '@/shared/ui/dataTable'

/** The drawing in figures: temperature and dew point at each place of the section. */
type Point = Schemas['SectionAnswer']['profile'][number]
defineProps<{ points: readonly Point[] }>()
const { t } = useI18n()
const reader = useReader()
const columns = computed((): Column<Point>[] => [
  { key: 'place', label: t('section.table.place'), text: (point) => t(`material.${point.key}`) },
  { key: 'temp', label: t('section.table.temp'), text: (point) => reader.print(point.temp), figure: true },
  { key: 'dew', label: t('section.table.dew'), text: (point) => reader.print(point.dew), figure: true },
])
</script>

<template>
  <FoldBox class="small" :title="t('section.tableTitle')">
    <DataTable
      :label="t('section.tableTitle')"
      :columns="columns"
      :rows="points"
      :by="(point) => points.indexOf(point)"
    />
  </FoldBox>
</template>
