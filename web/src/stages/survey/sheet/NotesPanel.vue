<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useReader } from '@/shared/state/reader'
import { useNotes, useSurveyEdits } from '@/shared/state/survey'
import { useTakeOff } from '@/shared/state/takeOff'
import { useCommandForm } from '@/shared/state/typedForm'
import TakenOff from '@/shared/ui/TakenOff.vue'
import PickField from '@/shared/ui/PickField.vue'
import FormField from '@/shared/ui/FormField.vue'

/** What was found on the surface: leaks and what was traced, old insulation, pests, flues and lights with clearances, wiring and the like. */
const props = defineProps<{ job: string; surface: string; locked: boolean }>()
type Note = Schemas['NoteAnswer']
type Kind = Schemas['SiteNoteKind']
const { t } = useI18n()
const reader = useReader()
const queries = useQueryClient()
const notes = useNotes(() => props.surface)
const edits = useSurveyEdits(() => props.job)
const set = useEdits()

const kinds: readonly Kind[] = [
  'leak',
  'wetPart',
  'oldInsulation',
  'pests',
  'flue',
  'light',
  'wiring',
  'suspectMaterial',
  'services',
  'tightCorner',
  'penetration',
  'fixing',
]
const clear: readonly string[] = ['flue', 'light', 'wiring']
const kind = ref<string>('leak')
const offered = computed(() => kinds.map((value) => ({ value, text: t(`note.${value}`) })))

const typed = useCommandForm(
  () => `notes.${props.surface}`,
  {},
  () => ({ kind: 'note', id: `${props.surface}/${v7()}`, within: props.job }),
)
const ready = computed(() => (typed.values.words ?? '').trim() !== '')
const asked = computed(() => [
  'words',
  ...(kind.value === 'leak' ? ['traced', 'daysSinceRain'] : []),
  ...(clear.includes(kind.value) ? ['clearance'] : []),
])

async function put(answer: Promise<Note[]>, surface = props.surface) {
  const list = await edits.then(answer)
  queries.setQueryData(['surface', surface, 'notes'], list)
}

const add = () => typed.submit(asked.value, { kind: kind.value })

const placeOf = ({ id }: Note) => ({ kind: 'found', id: `${props.surface}/${id}`, within: props.job })
const fault = computed(() => (notes.data.value ?? []).map((note) => set.faultAt(placeOf(note))).find(Boolean) ?? '')
const change = (note: Note, fields: Record<string, string>) => set.keep(placeOf(note), fields)

const off = useTakeOff((id) => put(ask(api.DELETE('/api/notes/{id}', { params: { path: { id } } }))))
</script>

<template>
  <section>
    <h2>{{ t('survey.notes.title') }}</h2>
    <p v-if="notes.data.value?.length === 0" class="quiet">{{ t('survey.notes.none') }}</p>
    <ul>
      <li
        v-for="note in notes.data.value?.filter((one) => !off.gone(one.id))"
        :key="note.id"
        :class="{ mended: note.mendedAt }"
      >
        <div>
          <b>{{ t(`note.${note.kind}`) }}</b> {{ note.words }}
          <p v-if="note.traced || note.clearance || note.daysSinceRain != null" class="small quiet">
            <template v-if="note.traced">{{ t('survey.notes.traced', { where: note.traced }) }} </template>
            <template v-if="note.daysSinceRain != null"
              >{{ t('survey.notes.rain', { n: note.daysSinceRain }) }}
            </template>
            <template v-if="note.clearance">{{
              t('survey.notes.clearance', { figure: reader.print(note.clearance) })
            }}</template>
          </p>
        </div>
        <span v-if="!locked" class="acts no-print">
          <ElButton link type="primary" @click="change(note, { mended: note.mendedAt ? 'no' : 'yes' })">
            {{
              t(
                note.mendedAt
                  ? 'survey.notes.reopen'
                  : note.kind === 'leak'
                    ? 'survey.notes.mended'
                    : 'survey.notes.done',
              )
            }}
          </ElButton>
          <ElButton
            link
            type="primary"
            :aria-label="t('survey.notes.remove', { words: note.words })"
            @click="off.takeOff(note.id, note.words)"
          >
            ×
          </ElButton>
        </span>
      </li>
    </ul>
    <TakenOff :off="off" />
    <form v-if="!locked" class="no-print" novalidate @submit.prevent="add">
      <PickField v-model="kind" name="noteKind" :label="t('survey.notes.kind')" :options="offered" />
      <FormField
        v-for="field in asked"
        :key="field"
        v-model="typed.values[field]"
        :class="field"
        :name="field"
        :label="t(`survey.notes.field.${field}`)"
        :fault="typed.faults.value[field]"
      />
      <ElButton native-type="submit" :disabled="!ready">{{ t('survey.notes.add') }}</ElButton>
    </form>
    <p class="fault" role="alert">{{ typed.notice.value || fault }}</p>
    <p class="small quiet">{{ t('survey.notes.lead') }}</p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 10px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
li.mended > div {
  text-decoration: line-through;
  color: var(--ink-2);
}
.acts {
  display: flex;
  gap: 14px;
  white-space: nowrap;
}
.acts .el-button {
  min-height: 44px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.field {
  width: 170px;
}
.words,
.traced {
  flex: 1 1 220px;
}
.fault {
  font-style: normal;
}
</style>
