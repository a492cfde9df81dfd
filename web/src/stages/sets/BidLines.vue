<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import type { Column } from '@/shared/ui/dataTable'
import { useLineNames } from '@/shared/figures/lineNames'

/** The lines of a bid in the order they add up, each with its working. */
const props = defineProps<{ bid: Schemas['BidAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const names = useLineNames()
const fig = (name: string) => reader.print(props.bid.figures[name])
const SUMS = ['overhead', 'profit', 'tax']
const columns = computed((): Column<Schemas['BidLineAnswer']>[] => [
  { key: 'what', label: t('price.col.what'), text: (line) => names.line(line) },
  { key: 'quantity', label: t('price.col.quantity'), text: (line) => reader.print(line.quantity), figure: true },
  { key: 'amount', label: t('price.col.amount'), figure: true },
])
</script>

<template>
  <DataTable
    :label="t('price.title')"
    :columns="columns"
    :rows="bid.lines"
    :by="(line) => line.key"
    :row-class="(line) => (SUMS.includes(line.key) ? 'out' : '')"
    :foot="{ what: t('price.total'), amount: fig('price') }"
  >
    <template #amount="{ row }">
      <FigureText :figure="row.amount.figure" :working="row.amount.working" />
    </template>
  </DataTable>
  <p class="quiet">
    {{
      t('price.rates', {
        perArea: fig('perArea'),
        perVolume: fig('perVolume'),
        hours: fig('crewHours'),
        days: fig('days'),
      })
    }}
  </p>
</template>
