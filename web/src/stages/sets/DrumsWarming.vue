<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import type { Column } from '@/shared/ui/dataTable'

/** All drums of the load warmed in blankets or in a hot room: when it begins, what heat it takes, what that costs. */
const props = defineProps<{ lines: readonly Schemas['OrderLine'][]; night: Schemas['FigureAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const WAYS = ['blankets', 'hotRoom'] as const
const warmed = computed(() => props.lines.filter((line) => line.warming))
const columns = computed((): Column<Schemas['OrderLine']>[] => [
  { key: 'product', label: t('order.warming.col.product'), text: (line) => line.sheet },
  ...WAYS.map((key) => ({ key, label: t(`order.warming.col.${key}`) })),
])
</script>

<template>
  <template v-if="warmed.length">
    <h3>{{ t('order.warming.title') }}</h3>
    <DataTable :label="t('order.warming.title')" :columns="columns" :rows="warmed" :by="(line) => line.sheetId">
      <template v-for="way in WAYS" :key="way" #[way]="{ row: line }">
        <span v-if="!line.warming?.[way]" class="quiet">{{ t('order.warming.none') }}</span>
        <span v-else-if="!line.warming[way].lead">{{ t('order.warming.never') }}</span>
        <i18n-t v-else keypath="order.warming.way" tag="span" scope="global">
          <template #lead>{{ reader.print(line.warming[way].lead) }}</template>
          <template #heat
            ><FigureText :figure="line.warming[way].heat.figure" :working="line.warming[way].heat.working"
          /></template>
          <template #cost>{{ reader.print(line.warming[way].cost) }}</template>
        </i18n-t>
        <span v-if="line.warming?.[way]?.atATime" class="few">{{
          t('order.warming.atATime', { count: line.warming[way].atATime })
        }}</span>
      </template>
    </DataTable>
    <p class="small quiet">{{ t('order.warming.note', { night: reader.print(night) }) }}</p>
  </template>
</template>

<style scoped>
.few {
  display: block;
}
h3 {
  margin: 16px 0 4px;
}
</style>
