<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useKits } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'
import FindingLine from '@/shared/ui/FindingLine.vue'

/** This surface from the rig or from hand kits, and the size up to which kits are cheaper. */
const props = defineProps<{ surface: string }>()
const { t } = useI18n()
const reader = useReader()
const kits = useKits(() => props.surface)
const all = computed(() => kits.data.value ?? [])
</script>

<template>
  <section v-if="all.length" class="kits">
    <h2>{{ t('kits.title') }}</h2>
    <div v-for="one in all" :key="one.kit">
      <table>
        <thead>
          <tr>
            <td></td>
            <th scope="col">{{ t('kits.way.rig') }}</th>
            <th scope="col">{{ t('kits.way.kit', { kit: one.kit }) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">{{ t('kits.row.material') }}</th>
            <td>{{ reader.print(one.figures.rigSets) }}</td>
            <td>{{ t('kits.kits', one.kits) }}</td>
          </tr>
          <tr v-for="row in ['hours', 'cost'] as const" :key="row">
            <th scope="row">{{ t(`kits.row.${row}`) }}</th>
            <td>{{ reader.print(one.figures[row === 'hours' ? 'rigHours' : 'rigCost']) }}</td>
            <td>{{ reader.print(one.figures[row === 'hours' ? 'kitHours' : 'kitCost']) }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 6px 26px 6px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  font-weight: 650;
}
tbody th {
  color: var(--ink-2);
}
tbody td {
  font-weight: 650;
}
</style>
