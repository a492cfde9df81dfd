<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'

/** A place's twelve months: a stroke as high as the mean is warm, and both means beneath it. */
const props = defineProps<{ place: Schemas['PlaceAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const span = computed(() => {
  const temps = props.place.temps.map((one) => one.amount)
  const [low, high] = [Math.min(...temps), Math.max(...temps)]
  return temps.map((one) => (high > low ? (one - low) / (high - low) : 0.5))
})
const rows = computed(() => [
  { key: 'temp', means: props.place.temps },
  { key: 'humidity', means: props.place.humidities },
])
const columns = computed((): Column<(typeof rows.value)[number]>[] => [
  { key: 'what', label: '', text: (row) => t(`places.${row.key}`) },
  ...Array.from({ length: 12 }, (_, i) => ({
    key: `month${i + 1}`,
    label: t(`monthShort.${i + 1}`),
    figure: true,
  })),
])
</script>

<template>
  <DataTable
    class="months small"
    :label="t('places.means', { name: place.name })"
    :columns="columns"
    :rows="rows"
    :by="(row) => row.key"
  >
    <template v-for="i in 12" :key="i" #[`month${i}`]="{ row }">
      <span
        v-if="row.key === 'temp'"
        class="stroke"
        aria-hidden="true"
        :style="{ height: `${4 + 26 * span[i - 1]!}px` }"
      />
      {{ reader.print(row.means[i - 1]) }}
    </template>
  </DataTable>
</template>

<style scoped>
.months :deep(tbody td) {
  vertical-align: bottom;
}
.months :deep(.el-table__cell .cell) {
  padding-right: 4px;
}
.stroke {
  display: block;
  margin-left: auto;
  width: 14px;
  background: var(--copper);
  opacity: 0.75;
  border-radius: 2px 2px 0 0;
}
/* The heights say something side by side alone. */
ul.months .stroke {
  display: none;
}
</style>
