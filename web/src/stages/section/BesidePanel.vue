<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import DataTable from '@/shared/ui/DataTable.vue'
import PickField from '@/shared/ui/PickField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'
import type { Beside } from './useBeside'

/** Picks a system to draw beside the one at hand, and sets the figures of both side by side. */
const props = defineProps<{
  wanted: boolean
  picked: string
  options: { id: string; text: string }[]
  fault: string
  own: Schemas['SectionAnswer']
  beside: Beside | null
}>()
defineEmits<{ want: []; pick: [id: string] }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()

const FIGURES = [
  'thickness',
  'foamR',
  'wholeU',
  'foamPermeance',
  'heatCut',
  'lifts',
  'weight',
  'insideSurface',
] as const
const others = computed(() => [
  { value: '', text: t('section.beside.none') },
  ...props.options.map((one) => ({ value: one.id, text: one.text })),
])
const pair = computed(() => (props.beside ? [props.own, props.beside.answer] : []))
const dewOf = (answer: Schemas['SectionAnswer']) =>
  answer.nearestDew.crosses
    ? t('section.beside.crosses', { place: t(`material.${answer.nearestDew.key}`) })
    : t('section.beside.clear', { margin: reader.print(answer.nearestDew.margin) })
const classOf = (answer: Schemas['SectionAnswer']) => t(`section.class.${answer.foamClass}`)
const SIDES = ['here', 'other'] as const
interface Row {
  key: string
  told: (answer: Schemas['SectionAnswer']) => string
}
const figureOf = (key: (typeof FIGURES)[number]) => (answer: Schemas['SectionAnswer']) =>
  listed([reader.print(answer.figures[key]?.figure), ...(key === 'foamPermeance' ? [classOf(answer)] : [])])
const rows = computed((): Row[] => [
  ...FIGURES.map((key) => ({ key, told: figureOf(key) })),
  { key: 'dew', told: dewOf },
  { key: 'verdict', told: () => '' },
])
const columns = computed((): Column<Row>[] => [
  { key: 'what', label: '', text: (row) => t(`section.beside.rows.${row.key}`) },
  { key: 'here', label: t('section.beside.here') },
  { key: 'other', label: props.beside?.name ?? '' },
])
</script>

<template>
  <div class="beside small">
    <ElButton v-if="!wanted" link type="primary" @click="$emit('want')">{{ t('section.beside.open') }}</ElButton>
    <template v-else>
      <p v-if="!options.length && !fault" role="status">{{ t('section.beside.loading') }}</p>
      <PickField
        v-if="options.length"
        class="pick"
        :model-value="picked"
        :label="t('section.beside.pick')"
        :options="others"
        @update:model-value="$emit('pick', $event ?? '')"
      />
      <p v-if="fault" class="fault" role="alert">{{ t('section.beside.failed', { reason: fault }) }}</p>
      <DataTable
        v-if="beside"
        class="figures"
        :label="t('section.beside.open')"
        :columns="columns"
        :rows="rows"
        :by="(row) => row.key"
      >
        <template v-for="(side, i) in SIDES" :key="side" #[side]="{ row }">
          <VerdictMark v-if="row.key === 'verdict'" :verdict="pair[i]!.verdict" />
          <template v-else>{{ row.told(pair[i]!) }}</template>
        </template>
      </DataTable>
    </template>
  </div>
</template>

<style scoped>
.beside {
  margin: 6px 0 12px;
}
.figures {
  margin-top: 10px;
}
.pick {
  max-width: 420px;
}
</style>
