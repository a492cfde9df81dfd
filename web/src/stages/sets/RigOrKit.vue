<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useKits } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'
import type { Column } from '@/shared/ui/dataTable'

/** This surface from the rig or from hand kits, and the size up to which kits are cheaper. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const kits = useKits(() => props.surface)
const all = computed(() => kits.data.value ?? [])
type Kit = Schemas['KitAnswer']
interface Row {
  key: 'material' | 'hours' | 'cost'
  rig: (kit: Kit) => string
  kit: (kit: Kit) => string
}
const ROWS: Row[] = [
  { key: 'material', rig: (one) => reader.print(one.figures.rigSets), kit: (one) => t('kits.kits', one.kits) },
  {
    key: 'hours',
    rig: (one) => reader.print(one.figures.rigHours),
    kit: (one) => reader.print(one.figures.kitHours),
  },
  { key: 'cost', rig: (one) => reader.print(one.figures.rigCost), kit: (one) => reader.print(one.figures.kitCost) },
]
const columnsOf = (kit: Kit): Column<Row>[] => [
  { key: 'row', label: '', text: (row) => t(`kits.row.${row.key}`) },
  { key: 'rig', label: t('kits.way.rig'), text: (row) => row.rig(kit) },
  { key: 'kit', label: t('kits.way.kit', { kit: kit.kit }), text: (row) => row.kit(kit) },
]
</script>

<template>
  <section v-if="all.length" class="kits">
    <h2>{{ t('kits.title') }}</h2>
    <div v-for="one in all" :key="one.kit">
      <DataTable :label="t('kits.title')" :columns="columnsOf(one)" :rows="ROWS" :by="(row) => row.key" />
      <i18n-t v-if="one.figures.upTo" keypath="kits.upTo" tag="p" scope="global">
        <template #volume><FigureText :figure="one.figures.upTo" :working="one.upTo" /></template>
        <template #area>{{ reader.print(one.figures.upToArea) }}</template>
        <template #kits>{{ t('kits.kits', Number(one.figures.upToKits?.amount ?? 0)) }}</template>
      </i18n-t>
      <p v-else>{{ t('kits.never') }}</p>
      <FindingLine v-for="said in one.findings" :key="said.case" :finding="said" detail />
    </div>
    <p class="small quiet">{{ t('kits.note') }}</p>
  </section>
</template>

<style scoped>
.kits {
  margin: 26px 0;
}
</style>
