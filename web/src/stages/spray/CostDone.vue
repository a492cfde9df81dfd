<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useLineNames } from '@/shared/figures/lineNames'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'

/** What the job cost by its log, line by line beside the bid; for those who price. */
const props = defineProps<{ cost: Schemas['CostAsDoneAnswer']; timeZone?: string | null; finished: boolean }>()
const { t } = useI18n()
const reader = useReader()
const writing = useWriting()
const names = useLineNames()
const times = useTimesIn(() => props.timeZone)
type Line = Schemas['CostLineAnswer']
const quantity = ({ bid, done }: Line) => {
  const [planned, used] = [reader.print(bid?.quantity), reader.print(done?.quantity)]
  return planned && used && planned !== used ? t('spray.cost.of', { done: used, planned }) : used || planned
}
const columns = computed((): Column<Line>[] => [
  { key: 'what', label: t('spray.cost.what'), text: (line) => names.line(line) },
  { key: 'quantity', label: t('spray.cost.quantity'), text: quantity, figure: true },
  { key: 'bid', label: t('spray.cost.bid'), text: ({ bid }) => reader.print(bid?.amount), figure: true },
  {
    key: 'done',
    label: t('spray.cost.done'),
    text: ({ done }) => (done ? reader.print(done.amount) : t('spray.cost.asBid')),
    figure: true,
  },
])
const foot = computed(() => ({
  what: t(props.finished ? 'spray.cost.cost' : 'spray.cost.soFar'),
  bid: reader.print(props.cost.bidCost),
  done: reader.print(props.cost.cost),
}))
</script>

<template>
  <h3>{{ t('spray.cost.title') }}</h3>
  <p class="small">
    {{ t('spray.cost.lead') }}
    {{ cost.bidAt ? t('spray.cost.bidAt', { when: times.time(cost.bidAt) }) : t('spray.cost.bidToday') }}
  </p>
  <DataTable
    :label="t('spray.cost.title')"
    :columns="columns"
    :rows="cost.lines"
    :by="(line) => line.key"
    :foot="foot"
  />
  <p v-if="finished">
    {{ writing.labelled(t('spray.cost.margin', { net: reader.print(cost.net) }), reader.print(cost.margin)) }}
    <span class="small quiet">{{ writing.labelled(t('spray.cost.bid'), reader.print(cost.bidMargin)) }}</span>
  </p>
  <p v-if="cost.missing.length" class="fault">{{ t('spray.cost.missing', { list: writing.listed(cost.missing) }) }}</p>
</template>

<style scoped>
h3 {
  margin: 14px 0 4px;
  font-size: 1rem;
}
</style>
