<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useStepWords } from '@/shared/sequences/stepWords'
import { useEdits } from '@/shared/state/edits'
import { useSaving } from '@/shared/state/saving'
import { useSession } from '@/shared/state/session'
import { useTimesIn } from '@/shared/state/times'
import FileButton from '@/shared/ui/FileButton.vue'
import { moved, withNew, without, type TypedStep } from './draft'
import StepFields from './StepFields.vue'
import { useSequenceDraft } from './useSequenceDraft'

/** A sequence that is edited: its steps, one open at a time. */
const props = defineProps<{ sequence: Schemas['FirmSequenceAnswer']; supplied: ReadonlySet<string> }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const words = useStepWords()
const times = useTimesIn(() => undefined)
const saving = useSaving()
const draft = useSequenceDraft(() => props.sequence)
const { form, steps, changed, faults, fieldFaults } = draft
const mayEdit = computed(() => session.may('edit'))
const open = ref<string>()
const saved = ref(false)
const place = computed(() => ({ kind: 'sequence', id: props.sequence.kind }))

const nameOf = (step: TypedStep) => words.what(step) || t('sequence.edit.newStep')
const faultsOf = (at: number) => {
  const prefix = `steps.${at}.`
  const found = Object.entries(fieldFaults.value).filter(([field]) => field.startsWith(prefix))
  return Object.fromEntries(found.map(([field, text]) => [field.slice(prefix.length), text]))
}
const told = computed(() =>
  faults.value.map(({ code, step, lacks }) => {
    const at = steps.value.find((one) => one.id === step)
    return t('sequence.edit.atStep', {
      what: at ? nameOf(at) : t('sequence.edit.whole'),
      fault: t(`sequence.fault.${code}`, { lacks: lacks ? t(`sequence.act.${lacks}`) : '' }),
    })
  }),
)
const removed = ref<{ name: string; before: TypedStep[] }>()

function change(at: number, step: TypedStep) {
  saved.value = false
  steps.value = steps.value.with(at, step)
}
function remove(at: number) {
  removed.value = { name: nameOf(steps.value[at]!), before: steps.value }
  steps.value = without(steps.value, at)
}
function undoRemoval() {
  steps.value = removed.value!.before
  removed.value = undefined
}
function add(behind: number) {
  steps.value = withNew(steps.value, behind)
  open.value = steps.value[behind + 1]!.id
}
function discard() {
  form.clear()
  removed.value = undefined
  open.value = undefined
}

async function save() {
  await draft.check()
  if (faults.value.length || Object.keys(fieldFaults.value).length) return
  saved.value = (await form.submitChanged()) === 'taken'
  removed.value = undefined
}
// What is typed stays until something else is there in its place.
const keep = async (fields: Record<string, string>) => {
  saved.value = (await edits.keepApart(place.value, fields)) === 'taken'
  if (saved.value) discard()
}
const read = async ([file]: File[]) => keep({ file: await file!.text() })
const notice = computed(() => draft.problem.value || edits.faultAt(place.value))
</script>

<template>
  <section class="sequence">
    <p class="quiet">
      {{
        sequence.changedBy
          ? t('sequence.edit.own', { by: sequence.changedBy, when: times.day(sequence.changedAt!) })
          : t('sequence.edit.shipped')
      }}
    </p>
    <p class="acts">
      <ElButton link type="primary" @click="saving.saveFrom(`/api/sequences/${sequence.kind}/file`)">{{
        t('sequence.edit.download')
      }}</ElButton>
      <ElButton link type="primary" @click="saving.saveFrom('/api/sequences/schema')">{{
        t('sequence.edit.schema')
      }}</ElButton>
      <template v-if="mayEdit">
        <FileButton accept=".json,application/json" @files="read">{{ t('sequence.edit.upload') }}</FileButton>
        <ElButton v-if="sequence.changedBy" @click="keep({ shipped: 'yes' })">{{
          t('sequence.edit.restore')
        }}</ElButton>
      </template>
    </p>
    <p v-if="saving.fault.value || notice" class="fault" role="alert">{{ saving.fault.value || notice }}</p>
    <ol>
      <li v-for="(step, at) in steps" :key="step.id">
        <div class="line">
          <ElButton
            link
            type="primary"
            :aria-expanded="open === step.id"
            @click="open = open === step.id ? undefined : step.id"
            >{{ t('sequence.edit.stepOf', { number: at + 1, what: nameOf(step) }) }}</ElButton
          >
          <b v-if="sequence.hardStops.includes(step.id)" class="small stop">{{ t('sequence.run.hardStop') }}</b>
          <span v-if="step.wait" class="small quiet">{{ step.wait }}</span>
        </div>
        <template v-if="open === step.id">
          <StepFields
            v-if="mayEdit"
            :step="step"
            :others="steps.filter((one) => one.id !== step.id)"
            :faults="faultsOf(at)"
            :is-supplied="supplied.has(step.id)"
            @change="change(at, $event)"
          />
          <template v-else>
            <p>{{ words.why(step) }}</p>
            <p>
              <b>{{ t('sequence.run.wrong') }}</b> {{ words.wrong(step) }}
            </p>
          </template>
          <p v-if="mayEdit" class="acts">
            <ElButton :disabled="at === 0" @click="steps = moved(steps, at, -1)">{{ t('sequence.edit.up') }}</ElButton>
            <ElButton :disabled="at === steps.length - 1" @click="steps = moved(steps, at, 1)">{{
              t('sequence.edit.down')
            }}</ElButton>
            <ElButton @click="add(at)">{{ t('sequence.edit.add') }}</ElButton>
            <ElButton @click="remove(at)">{{ t('sequence.edit.remove') }}</ElButton>
          </p>
        </template>
        <p v-else-if="Object.keys(faultsOf(at)).length" class="fault">{{ Object.values(faultsOf(at))[0] }}</p>
      </li>
    </ol>
    <p v-if="removed" role="status">
      {{ t('sequence.edit.removed', { what: removed.name }) }}
      <ElButton link type="primary" @click="undoRemoval">{{ t('sequence.edit.undo') }}</ElButton>
    </p>
    <div v-if="mayEdit" class="foot">
      <div v-if="told.length" role="alert">
        <p class="fault">{{ t('sequence.edit.faults') }}</p>
        <ul>
          <li v-for="one in told" :key="one" class="fault">{{ one }}</li>
        </ul>
      </div>
      <p v-for="meeting in form.meetings.value" :key="meeting.field" class="fault" role="alert">
        {{ t('sequence.edit.met') }}
        <ElButton @click="form.decide('steps', 'mine')">{{ t('sequence.edit.mine') }}</ElButton>
        <ElButton @click="form.decide('steps', 'theirs')">{{ t('sequence.edit.theirs') }}</ElButton>
      </p>
      <p class="acts">
        <ElButton v-if="!steps.length" @click="add(-1)">{{ t('sequence.edit.add') }}</ElButton>
        <ElButton type="primary" :disabled="!changed || form.busy.value || told.length > 0" @click="save">{{
          t('sequence.edit.save')
        }}</ElButton>
        <ElButton v-if="changed" @click="discard">{{ t('sequence.edit.cancel') }}</ElButton>
        <span role="status" class="small quiet">{{ saved && !changed ? t('sequence.edit.saved') : '' }}</span>
      </p>
    </div>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
ol > li {
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
.line,
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}
.line :deep(.el-button) {
  white-space: normal;
  text-align: left;
  height: auto;
  min-height: 44px;
  line-height: 1.3;
}
.stop {
  color: var(--hold);
}
.foot {
  margin-top: 14px;
}
</style>
