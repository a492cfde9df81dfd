<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FieldDoubt, Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import CellPick from '@/shared/ui/CellPick.vue'
import DoubtNote from '@/shared/ui/DoubtNote.vue'
import { useCellChoices } from '../cellChoices'

/** The rows of a file as they were read, line by line; cells at fault are mended here before anything is taken. */
type Row = Schemas['CheckedRow']
const props = defineProps<{ found: Schemas['ImportAnswer']; busy: boolean }>()
const emit = defineEmits<{ check: [rows: Row[]] }>()
const { t, te } = useI18n()
const reader = useReader()
const { sentence } = useProblems()

const PAGE = 100
const rows = ref<Row[]>([])
const onlyFaults = ref(false)
const page = ref(0)
watch(
  () => props.found.rows,
  (now) => (rows.value = now.map((row) => ({ ...row, fields: { ...row.fields } }))),
  { immediate: true },
)

// The columns that any row says something in, or is at fault in; the rest would be empty.
const fields = computed(() => {
  const seen = new Set(['name', 'kind', 'size'])
  for (const row of rows.value) {
    Object.keys(row.fields).forEach((field) => seen.add(field))
    row.faults.forEach((fault) => seen.add(fault.field))
  }
  return [...seen]
})
const listed = computed(() => (onlyFaults.value ? rows.value.filter(isMarked) : rows.value))
const shown = computed(() => listed.value.slice(page.value * PAGE, (page.value + 1) * PAGE))
const pages = computed(() => Math.max(1, Math.ceil(listed.value.length / PAGE)))
watch(listed, () => (page.value = Math.min(page.value, pages.value - 1)))

// Files write kinds and shapes in their own case; what is not one of ours stays to be seen and chosen anew.
const choices = useCellChoices()
const known = (field: string, text: string) =>
  choices.value[field]?.find((one) => [one.value, one.text].some((name) => name.toLowerCase() === text.toLowerCase()))
    ?.value

const faultOf = (row: Row, field: string) => row.faults.find((fault) => fault.field === field)
// What a person has looked at and found right is not marked again, however often the rows are checked.
const right = reactive(new Set<string>())
const keyOf = (row: Row, field: string) => `${row.line} ${field} ${row.fields[field]}`
const doubtOf = (row: Row, field: string) =>
  right.has(keyOf(row, field))
    ? undefined
    : (row.doubts.find((doubt) => doubt.field === field) as FieldDoubt | undefined)
const isMarked = (row: Row) => row.faults.length > 0 || !!row.note || row.doubts.some((one) => doubtOf(row, one.field))
const label = (field: string) => (te(`survey.import.${field}`) ? t(`survey.import.${field}`) : field)

function mend(row: Row, field: string, text: string) {
  if ((row.fields[field] ?? '') === text) return
  row.fields[field] = text
  emit('check', rows.value)
}
const leaveOut = (row: Row) =>
  emit(
    'check',
    rows.value.filter((one) => one !== row),
  )
</script>

<template>
  <div>
    <ElCheckbox v-model="onlyFaults">{{ t('survey.exchange.onlyFaults') }}</ElCheckbox>
    <div class="scroll" tabindex="0" role="region" :aria-label="t('survey.exchange.rows')">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('survey.exchange.line') }}</th>
            <th v-for="field in fields" :key="field" scope="col">{{ label(field) }}</th>
            <th scope="col">{{ t('survey.col.area') }}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="row.line" :class="{ faulty: row.faults.length }">
            <th scope="row">
              {{ row.line }} <em v-if="row.note" class="note">{{ t(`survey.exchange.note.${row.note}`) }}</em>
            </th>
            <td v-for="field in fields" :key="field">
              <CellPick
                v-if="choices[field]"
                :model-value="known(field, row.fields[field] ?? '')"
                :label="t('survey.exchange.cell', { field: label(field), line: row.line })"
                :options="choices[field]"
                :otherwise="row.fields[field]"
                :fault="faultOf(row, field) && sentence(faultOf(row, field)!)"
                :disabled="busy"
                @update:model-value="mend(row, field, $event ?? '')"
              />
              <input
                v-else
                :value="row.fields[field] ?? ''"
                :aria-label="t('survey.exchange.cell', { field: label(field), line: row.line })"
                :aria-invalid="!!faultOf(row, field)"
                :disabled="busy"
                @change="mend(row, field, ($event.target as HTMLInputElement).value)"
              />
              <em v-if="faultOf(row, field)" class="fault">{{ sentence(faultOf(row, field)!) }}</em>
              <DoubtNote
                :doubt="doubtOf(row, field)"
                @other="mend(row, field, $event)"
                @right="right.add(keyOf(row, field))"
              />
            </td>
            <td>{{ reader.print(row.area) || '–' }}</td>
            <td>
              <ElButton
                link
                type="primary"
                :aria-label="t('survey.exchange.leaveRow', { line: row.line })"
                @click="leaveOut(row)"
              >
                ×
              </ElButton>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="pages > 1" class="pages">
      <ElButton link type="primary" :disabled="page === 0" @click="page--">{{ t('survey.exchange.back') }}</ElButton>
      {{ t('survey.exchange.page', { page: page + 1, pages }) }}
      <ElButton link type="primary" :disabled="page === pages - 1" @click="page++">
        {{ t('survey.exchange.next') }}
      </ElButton>
    </p>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
  max-height: 60vh;
  border: 1px solid var(--line);
}
table {
  border-collapse: collapse;
  min-width: 100%;
}
th,
td {
  text-align: left;
  padding: 2px 8px;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
  white-space: nowrap;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--paper);
  font-size: var(--text-s);
}
tbody th,
td:nth-last-child(2) {
  font-weight: 400;
  padding-top: 12px;
}
tr.faulty {
  background: var(--in-hand);
}
td > input {
  border: 0;
  background: transparent;
  min-height: 40px;
  min-width: 120px;
  width: 100%;
}
td > input[aria-invalid='true'] {
  box-shadow: inset 0 -3px var(--hold);
}
.fault {
  display: block;
  white-space: normal;
  max-width: 240px;
  font-style: normal;
}
.note {
  display: block;
  font-style: normal;
  font-size: var(--text-s);
  color: var(--care);
}
.pages {
  display: flex;
  gap: 16px;
  align-items: center;
}
</style>
