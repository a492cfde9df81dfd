<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { onBeforeUnmount } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import CellPick from '@/shared/ui/CellPick.vue'
import DoubtNote from '@/shared/ui/DoubtNote.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import type { Choice } from '@/shared/ui/PickOne.vue'
import { fieldKeys, kindOf } from '@/shared/typing/fieldKeys'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import { fields, type Field } from './columns'
import type { SurveyGrid } from './grid'

/** One surface as a line of the grid. */
const props = defineProps<{
  row: Surface
  index: number
  grid: SurveyGrid
  mayEdit: boolean
  selects: Partial<Record<Field, readonly Choice[]>>
}>()
const emit = defineEmits<{
  step: [event: KeyboardEvent, row: number, field: Field, by: number]
  paste: [event: ClipboardEvent, row: Surface, field: Field]
  hand: [id: string]
}>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()

const usable = (field: Field) => props.row.hasMembers || (field !== 'memberDepth' && field !== 'memberSpacing')

function hint(field: Field) {
  if (!usable(field)) return '–'
  if (field === 'size') return props.row.sizeParts.map((part) => t(`part.${part}`)).join(' × ')
  if (field === 'openings') return t(reader.units === 'us' ? 'survey.openingsHint' : 'survey.openingsHintMetric')
  return field === 'openLeak' ? t('survey.leakHint') : ''
}

// Escape takes back what was typed in the cell; once nothing is, it leaves the cell so that the keys of the stages work.
function leave(event: KeyboardEvent, field: Field) {
  const input = event.target as HTMLInputElement
  if (props.grid.draftOf(props.row.id, field) === undefined) return input.blur()
  props.grid.forget(props.row.id, field)
  input.value = props.grid.valueOf(props.row, field)
}

function choose(field: Field, picked = '') {
  props.grid.type(props.row, field, picked)
  void props.grid.commit(props.row, field)
}

// A line that scrolls out of the window is taken as if it were left; what was refused waits for the person.
onBeforeUnmount(() => {
  for (const field of props.grid.fieldsOf(props.row.id)) {
    if (!props.grid.waits(props.row.id, field)) void props.grid.commit(props.row, field)
  }
})
</script>

<template>
  <tr role="row" :data-surface="row.id" @focusin="emit('hand', row.id)">
    <th scope="row" role="rowheader" class="area">
      <VerdictMark :verdict="row.verdict" />
      <FigureText v-if="row.treatedArea" :figure="row.treatedArea.figure" :working="row.treatedArea.working" />
      <span v-else class="quiet">–</span>
    </th>
    <td
      v-for="field in fields"
      :key="field"
      role="cell"
      :class="[field, { unused: !usable(field) }]"
      :data-label="t(`survey.col.${field}`)"
    >
      <CellPick
        v-if="selects[field]"
        :model-value="grid.valueOf(row, field)"
        :label="listed([t(`survey.col.${field}`), row.name])"
        :options="selects[field]"
        :disabled="!mayEdit"
        :data-cell="`${index}.${field}`"
        @update:model-value="choose(field, $event)"
      />
      <input
        v-else
        :value="usable(field) ? grid.valueOf(row, field) : ''"
        :disabled="!mayEdit || !usable(field)"
        v-bind="fieldKeys(kindOf(field))"
        :data-cell="`${index}.${field}`"
        :data-draft="grid.draftOf(row.id, field) === undefined ? 'no' : 'yes'"
        :placeholder="hint(field)"
        :aria-label="listed([t(`survey.col.${field}`), row.name])"
        :aria-invalid="grid.faultOf(row.id, field) !== ''"
        :aria-describedby="`fault-${row.id}-${field}`"
        @input="grid.type(row, field, ($event.target as HTMLInputElement).value)"
        @blur="grid.commit(row, field)"
        @paste="emit('paste', $event, row, field)"
        @keydown.enter="emit('step', $event, index, field, 1)"
        @keydown.down="emit('step', $event, index, field, 1)"
        @keydown.up="emit('step', $event, index, field, -1)"
        @keydown.esc="leave($event, field)"
      />
      <em :id="`fault-${row.id}-${field}`" class="fault">{{ grid.faultOf(row.id, field) }}</em>
      <DoubtNote
        :doubt="grid.doubtOf(row.id, field)"
        @other="(grid.type(row, field, $event), grid.commit(row, field))"
        @right="grid.right(row.id, field)"
      />
    </td>
    <td role="cell" class="off">
      <button
        v-if="mayEdit"
        type="button"
        class="remove"
        :aria-label="t('survey.remove', { name: row.name })"
        :title="t('survey.remove', { name: row.name })"
        @click="grid.remove(row)"
      >
        ×
      </button>
    </td>
  </tr>
</template>
