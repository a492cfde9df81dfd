<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useBoard, type Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useUndo } from '@/shared/state/undo'
import MeetingNote from '@/shared/ui/MeetingNote.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import { useCellChoices } from './cellChoices'
import { tracksOf } from '@/shared/ui/tracks'
import { AREA_ROOM, fields, REMOVE_ROOM, ROOM, type Field } from './columns'
import { useSurveyGrid } from './grid'
import { pastedRows } from './paste'
import { focusNear, useRowWindow } from '@/shared/state/rowWindow'
import SurveyFrame from './SurveyFrame.vue'
import SurveyRow from './SurveyRow.vue'
import { useNarrow, useUpright } from '@/shared/state/narrow'
import InHandPanel from './InHandPanel.vue'

/** The surfaces of a job as a grid that is typed into like a sheet of paper. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const route = useRoute()
const board = useBoard(() => props.job)
const grid = useSurveyGrid(props.job)
const undo = useUndo(() => props.job)
const newName = ref('')
const newFault = ref('')

const mayEdit = computed(() => session.may('edit'))
const inHand = computed(() => grid.rows.value.find((row) => row.id === reader.inHand[props.job]) ?? grid.rows.value[0])
// What stands under the grid waits until the keys stop.
const PAUSE = 150
const told = refDebounced(inHand, PAUSE)
const sketchOf = (id: string) => board.data.value?.rows.find((row) => row.id === id)?.sketch ?? []
const selects = useCellChoices()

const cell = (row: number, field: Field) => document.querySelector<HTMLElement>(`[data-cell="${row}.${field}"]`)

const tracks = tracksOf([AREA_ROOM, ...fields.map((field) => ROOM[field]), REMOVE_ROOM])
const body = ref<HTMLElement>()
// On a phone or an upright tablet a surface is a card of several lines.
const [isNarrow, isUpright] = [useNarrow(), useUpright()]
const line = computed(() => (isNarrow.value ? 420 : isUpright.value ? 270 : 45))
const lines = useRowWindow(() => grid.rows.value.length, body, line)
const drawn = computed(() =>
  grid.rows.value.slice(lines.from.value, lines.to.value).map((row, i) => ({ row, index: lines.from.value + i })),
)

async function focusOn(row: number, field: Field) {
  await lines.reveal(row)
  focusNear(cell(row, field))
}

function down(event: KeyboardEvent, i: number, field: Field, step: number) {
  event.preventDefault()
  if (i + step < grid.rows.value.length) void focusOn(Math.max(0, i + step), field)
  else document.querySelector<HTMLElement>('[data-new]')?.focus()
}

function onPaste(event: ClipboardEvent, row: Surface | null, field: Field) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(text.trim())) return
  event.preventDefault()
  const start = row ? grid.rows.value.findIndex((one) => one.id === row.id) : grid.rows.value.length
  void grid.take(
    start,
    pastedRows(text, field, (column) => t(`survey.col.${column}`)),
  )
}

async function add() {
  const name = newName.value.trim()
  if (!name) return
  newFault.value = ''
  try {
    const added = await grid.add({ name })
    newName.value = ''
    if (added) reader.inHand[props.job] = added.id
    await nextTick()
    await focusOn(grid.rows.value.length - 1, 'kind')
  } catch (cause) {
    newFault.value = Object.values(grid.byField(cause))[0] ?? ''
  }
}

const takeInHand = (id: string) => (reader.inHand[props.job] = id)

watch(
  () => grid.rows.value.length > 0 && route.query.at,
  async (id) => {
    if (typeof id !== 'string') return
    takeInHand(id)
    await nextTick()
    await focusOn(
      grid.rows.value.findIndex((row) => row.id === id),
      'name',
    )
  },
  { immediate: true },
)
</script>

<template>
  <SurveyFrame :job="job" :surface="inHand?.id ?? ''" wide>
    <div class="head">
      <h1 class="visually-hidden">{{ t('survey.title') }}</h1>
      <p class="quiet small lead">
        {{
          mayEdit
            ? t(reader.units === 'us' ? 'survey.lead' : 'survey.leadMetric')
            : t('app.readOnly', { role: t(`role.${session.person?.role ?? 'viewer'}`) })
        }}
      </p>
      <span class="state small" role="status">
        {{
          grid.saving.value
            ? t('survey.saving')
            : grid.unsaved.value
              ? t('survey.unsaved', { count: grid.unsaved.value })
              : t('survey.saved')
        }}
      </span>
      <ElButton
        v-if="grid.unsaved.value && !grid.saving.value"
        :title="t('survey.discardLead')"
        @click="grid.discard()"
      >
        {{ t('survey.discard') }}
      </ElButton>
      <ElButton :disabled="!undo.canUndo.value" @click="undo.undo()">
        {{ t('app.undo') }}
      </ElButton>
    </div>
    <p v-if="grid.notice.value" class="fault" role="alert">{{ grid.notice.value }}</p>
    <MeetingNote
      v-for="conflict in grid.conflicts.value"
      :key="conflict.surface + conflict.field"
      :label="t(`survey.col.${conflict.field}`)"
      :meeting="conflict"
      :say="(text) => (selects[conflict.field] && text ? t(`${conflict.field}.${text}`) : text)"
      @decide="grid.decide(conflict.surface, conflict.field, $event)"
    />
    <ProblemNote
      v-if="grid.surfaces.error.value"
      :problem="grid.surfaces.error.value"
      @retry="grid.surfaces.refetch()"
    />
    <ElSkeleton v-else-if="grid.surfaces.isPending.value" :rows="6" animated />
    <template v-else>
      <p v-if="grid.rows.value.length === 0" class="empty">{{ t('survey.empty') }}</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="t('survey.grid')">
        <table class="tracks" role="table" :style="tracks">
          <caption class="visually-hidden">
            {{
              t('survey.grid')
            }}
          </caption>
          <thead v-if="grid.rows.value.length" role="rowgroup">
            <tr role="row">
              <th scope="col" role="columnheader">{{ t('survey.col.area') }}</th>
              <th v-for="field in fields" :key="field" scope="col" role="columnheader" :class="field">
                {{ t(`survey.col.${field}`) }}
              </th>
              <th scope="col" role="columnheader">
                <span class="visually-hidden">{{ t('survey.col.remove') }}</span>
              </th>
            </tr>
          </thead>
          <tbody ref="body" role="rowgroup">
            <tr v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
            <SurveyRow
              v-for="one in drawn"
              :key="one.row.id"
              :row="one.row"
              :index="one.index"
              :grid="grid"
              :may-edit="mayEdit"
              :selects="selects"
              :class="{ hand: one.row.id === inHand?.id }"
              @hand="takeInHand"
              @step="down"
              @paste="onPaste"
            />
            <tr v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
            <tr v-if="mayEdit" class="new" role="row">
              <td class="whole" role="cell">
                <input
                  v-model="newName"
                  data-new
                  :placeholder="t('survey.add')"
                  :aria-label="t('survey.addLabel')"
                  :aria-invalid="newFault !== ''"
                  @keydown.enter.prevent="add"
                  @keydown.up.prevent="focusOn(grid.rows.value.length - 1, 'name')"
                  @paste="onPaste($event, null, 'name')"
                />
                <em class="fault" role="alert">{{ newFault }}</em>
              </td>
            </tr>
          </tbody>
          <tfoot v-if="board.data.value && grid.rows.value.length" role="rowgroup">
            <tr role="row">
              <td class="whole" role="cell">
                <b>{{ reader.print(board.data.value.feet.area) }}</b>
                {{ t('survey.total', { count: board.data.value.feet.surfaces }) }}
              </td>
            </tr>
          </tfoot>
        </table>
      </div>
    </template>
    <template #side>
      <InHandPanel v-if="told" :job="job" :surface="told" :sketch="sketchOf(told.id)" />
    </template>
  </SurveyFrame>
</template>

<style scoped>
.head {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 8px;
}
.lead {
  flex: 1;
}
.state {
  color: var(--ink-2);
  white-space: nowrap;
}
.scroll {
  overflow-x: auto;
  position: relative;
}
.whole {
  grid-column: 1 / -1;
}
table :deep(th) {
  text-align: left;
  font: 600 14px var(--head);
  padding: 6px;
  border-bottom: 2px solid var(--ink);
  white-space: nowrap;
}
table :deep(td) {
  border-bottom: 1px solid var(--line);
  padding: 0;
  vertical-align: top;
}
table :deep(td > input) {
  width: 100%;
  min-height: 44px;
  padding: 0 6px;
  border: 0;
  background: transparent;
}
table :deep(td > input::placeholder) {
  color: var(--ink-2);
  opacity: 0.8;
}
table :deep(.cell-pick) {
  min-height: 44px;
  padding-left: 6px;
}
table :deep(td > input:focus),
table :deep(.cell-pick:focus) {
  outline: 2px solid var(--copper);
  outline-offset: -2px;
  background: var(--sheet);
}
table :deep(td > input[aria-invalid='true']) {
  box-shadow: inset 0 -3px var(--hold);
}
table :deep(td > input:disabled) {
  opacity: 1;
}
tbody :deep(th) {
  vertical-align: top;
  border-bottom: 1px solid var(--line);
  font: inherit;
}
table :deep(td .fault) {
  display: block;
  font-style: normal;
  padding: 0 6px 4px;
  max-width: 220px;
}
table :deep(td .fault:empty) {
  display: none;
}
table :deep(.name input) {
  font-weight: 650;
}
table :deep(.area) {
  white-space: nowrap;
  padding: 11px 6px;
}
table :deep(.area > * + *) {
  margin-left: 6px;
}
tr.hand :deep(td),
tr.hand :deep(th) {
  background: var(--in-hand);
}
table :deep(.remove) {
  width: 44px;
  height: 44px;
  border: 0;
  background: none;
  color: var(--ink-2);
  font-size: 1.2rem;
  cursor: pointer;
}
tfoot td {
  padding: 12px 6px;
  border-bottom: 0;
  border-top: 2px solid var(--ink);
}
.empty {
  padding: 24px 0;
}
/* On a phone or an upright tablet each surface is a card: its name and area above, its cells under their labels. */
@media (max-width: 900px) {
  .head {
    flex-wrap: wrap;
  }
  thead {
    display: none;
  }
  .tracks {
    min-width: 0;
  }
  tbody,
  tfoot,
  table :deep(tr),
  table :deep(td) {
    display: block;
  }
  table :deep(tr[data-surface]) {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    margin-bottom: 14px;
    border: 1px solid var(--line);
    border-radius: 6px;
    background: var(--sheet);
  }
  table :deep(td) {
    min-width: 0;
    background: none;
  }
  table :deep(tr.hand) {
    background: var(--in-hand);
  }
  table :deep(td.name) {
    grid-area: 1 / 1 / 2 / -2;
  }
  table :deep(th.area) {
    grid-area: 1 / -2 / 2 / -1;
    align-self: center;
    text-align: right;
    border: 0;
  }
  table :deep(td.size),
  table :deep(td.openings),
  table :deep(td.openLeak) {
    grid-column: span 2;
  }
  table :deep(td[data-label]:not(.name)::before) {
    content: attr(data-label);
    display: block;
    padding: 4px 6px 0;
    font-size: var(--text-s);
    color: var(--ink-2);
  }
  table :deep(td.unused) {
    display: none;
  }
  table :deep(td.off) {
    grid-column-end: -1;
    border: 0;
    text-align: right;
  }
}
@media (max-width: 700px) {
  .lead {
    display: none;
  }
  table :deep(tr[data-surface]) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
