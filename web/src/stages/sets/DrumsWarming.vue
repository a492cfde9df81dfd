<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'

/** All drums of the load warmed in blankets or in a hot room: when it begins, what heat it takes, what that costs. */
const props = defineProps<{ lines: readonly Schemas['OrderLine'][]; night: Schemas['FigureAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const WAYS = ['blankets', 'hotRoom'] as const
const warmed = computed(() => props.lines.filter((line) => line.warming))
</script>

<template>
  <template v-if="warmed.length">
    <h3>{{ t('order.warming.title') }}</h3>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('order.warming.col.product') }}</th>
          <th v-for="way in WAYS" :key="way" scope="col">{{ t(`order.warming.col.${way}`) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in warmed" :key="line.sheetId">
          <th scope="row">{{ line.sheet }}</th>
          <td v-for="way in WAYS" :key="way">
            <span v-if="!line.warming?.[way]" class="quiet">{{ t('order.warming.none') }}</span>
            <span v-else-if="!line.warming[way].lead">{{ t('order.warming.never') }}</span>
            <i18n-t v-else keypath="order.warming.way" tag="span" scope="global">
              <template #lead>{{ reader.print(line.warming[way].lead) }}</template>
              <template #heat
                ><FigureText :figure="line.warming[way].heat.figure" :working="line.warming[way].heat.working"
              /></template>
              <template #cost>{{ reader.print(line.warming[way].cost) }}</template>
            </i18n-t>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small quiet">{{ t('order.warming.note', { night: reader.print(night) }) }}</p>
  </template>
</template>

<style scoped>
h3 {
  margin: 16px 0 4px;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 7px 26px 7px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead th {
  font: 600 var(--text-s) var(--body);
  color: var(--ink-2);
}
tbody th {
  font-weight: 650;
  white-space: nowrap;
}
</style>
