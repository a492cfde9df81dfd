<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useInchLedger } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import type { Column } from '@/shared/ui/dataTable'

/** What each further inch costs and cuts: the first carries the set-up. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const ledger = useInchLedger(() => props.surface)
const lines = computed(() => ledger.data.value ?? [])
const widest = computed(() => Math.max(1e-9, ...lines.value.map((line) => line.further.amount)))
const columns = computed((): Column<(typeof lines.value)[number]>[] => [
  { key: 'thickness', label: t('inchMoney.col.thickness'), text: (line) => reader.print(line.thickness) },
  { key: 'cut', label: t('inchMoney.col.cut'), text: (line) => reader.print(line.cut), figure: true },
  { key: 'cost', label: t('inchMoney.col.cost'), text: (line) => reader.print(line.cost), figure: true },
  { key: 'further', label: t('inchMoney.col.further'), figure: true },
  {
    key: 'perCut',
    label: t('inchMoney.col.perCut'),
    text: (line) => reader.print(line.perCut) || '–',
    figure: true,
  },
])
</script>

<template>
  <FoldBox v-if="lines.length" class="small" :title="t('inchMoney.title')">
    <DataTable :label="t('inchMoney.title')" :columns="columns" :rows="lines" :by="(line) => line.thickness.amount">
      <template #further="{ row }">
        {{ reader.print(row.further) }}
        <span class="bar" aria-hidden="true" :style="{ width: `${(row.further.amount / widest) * 100}%` }" />
      </template>
    </DataTable>
    <p class="quiet">{{ t('inchMoney.note') }}</p>
  </FoldBox>
</template>

<style scoped>
.bar {
  display: block;
  height: 6px;
  margin-left: auto;
  background: var(--foam-closed);
}
</style>
