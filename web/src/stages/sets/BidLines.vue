<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'
import { useLineNames } from './lineNames'

/** The lines of a bid in the order they add up, each with its working. */
const props = defineProps<{ bid: Schemas['BidAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const names = useLineNames()
const fig = (name: string) => reader.print(props.bid.figures[name])
const isSum = (line: Schemas['BidLineAnswer']) => ['overhead', 'profit', 'tax'].includes(line.key)
</script>

<template>
  <table class="bid">
    <thead>
      <tr>
        <th scope="col">{{ t('price.col.what') }}</th>
        <th scope="col" class="right">{{ t('price.col.quantity') }}</th>
        <th scope="col" class="right">{{ t('price.col.amount') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in bid.lines" :key="line.key" :class="{ sum: isSum(line) }">
        <th scope="row">{{ names.line(line) }}</th>
        <td class="right">{{ reader.print(line.quantity) }}</td>
        <td class="right"><FigureText :figure="line.amount.figure" :working="line.amount.working" /></td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <th scope="row">{{ t('price.total') }}</th>
        <td></td>
        <td class="right">{{ fig('price') }}</td>
      </tr>
    </tfoot>
  </table>
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

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead th {
  font: 600 var(--text-s) var(--body);
  color: var(--ink-2);
}
.right {
  text-align: right;
  white-space: nowrap;
}
.sum th,
.sum td {
  color: var(--ink-2);
}
tfoot th,
tfoot td {
  font: 650 1.25rem var(--head);
  border-top: 2px solid var(--ink);
  border-bottom: 0;
}
</style>
