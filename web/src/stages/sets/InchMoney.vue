<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useInchLedger } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'

/** What each further inch costs and cuts: the first carries the set-up. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const ledger = useInchLedger(() => props.surface)
const lines = computed(() => ledger.data.value ?? [])
const widest = computed(() => Math.max(1e-9, ...lines.value.map((line) => line.further.amount)))
</script>

<template>
  <details v-if="lines.length" class="small">
    <summary>{{ t('inchMoney.title') }}</summary>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('inchMoney.col.thickness') }}</th>
          <th v-for="col in ['cut', 'cost', 'further'] as const" :key="col" scope="col" class="right">
            {{ t(`inchMoney.col.${col}`) }}
          </th>
          <td></td>
          <th scope="col" class="right">{{ t('inchMoney.col.perCut') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.thickness.amount">
          <th scope="row">{{ reader.print(line.thickness) }}</th>
          <td class="right">{{ reader.print(line.cut) }}</td>
          <td class="right">{{ reader.print(line.cost) }}</td>
          <td class="right">{{ reader.print(line.further) }}</td>
          <td class="track" aria-hidden="true">
            <span class="bar" :style="{ width: `${(line.further.amount / widest) * 100}%` }" />
          </td>
          <td class="right">{{ line.perCut ? reader.print(line.perCut) : '–' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet">{{ t('inchMoney.note') }}</p>
  </details>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--line);
}
thead th {
  color: var(--ink-2);
  font-weight: 600;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.track {
  width: 18%;
}
.bar {
  display: block;
  height: 10px;
  background: var(--foam-closed);
}
</style>
