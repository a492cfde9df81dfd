<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import type { Column } from '@/shared/ui/dataTable'

/** What each thickness does, step by step: U, how much of the heat flow is cut, and what the step adds. */
type Inch = Schemas['SectionAnswer']['inches'][number]
defineProps<{ inches: readonly Inch[] }>()
const { t } = useI18n()
const reader = useReader()
const columns = computed((): Column<Inch>[] =>
  (['thickness', 'u', 'cut', 'further'] as const).map((key) => ({
    key,
    label: t(`section.inches.${key}`),
    text: (line) => reader.print(line[key]),
    figure: key !== 'thickness',
  })),
)
</script>

<template>
  <FoldBox class="small" :title="t('section.inches.title')">
    <DataTable
      :label="t('section.inches.title')"
      :columns="columns"
      :rows="inches"
      :by="(line) => line.thickness.amount"
    />
  </FoldBox>
</template>
