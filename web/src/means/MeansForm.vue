<script setup lang="ts">
import { computed, nextTick } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useReader } from '@/shared/state/reader'
import { useRecordForm, useTypedForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'
import FormMeetings from '@/shared/ui/FormMeetings.vue'
import PickField from '@/shared/ui/PickField.vue'

/** A crew, a machine or a thing, typed in either unit system. What is asked goes by its kind. */
type Entry = Schemas['MeansEntryAnswer']
const props = defineProps<{
  kind: Schemas['MeansKindAnswer']
  crews: readonly Schemas['MeansAnswer'][]
  means?: Schemas['MeansAnswer']
}>()
const emit = defineEmits<{ done: [book?: Schemas['MeansBook']]; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()

const textOf = ({ name }: Entry) => props.means?.words[name] ?? reader.typed(props.means?.figures[name])
const before = computed(() => ({
  name: props.means?.name ?? '',
  ...(props.kind.kind === 'rig' && { crew: props.means?.crew ?? '' }),
  ...Object.fromEntries(props.kind.entries.map((entry) => [entry.name, textOf(entry)])),
}))
const create = useTypedForm(
  () => `meansForm.${props.kind.kind}`,
  before,
  async (typed) => {
    const fields = { kind: props.kind.kind, ...typed }
    const send = (id: string) =>
      ask(api.POST('/api/means', { body: { id, version: null, units: reader.units, fields } }))
    emit('done', await once('means', fields, send))
  },
)
const standing = props.means
  ? useRecordForm({ kind: 'means', id: props.means.id }, Object.keys(before.value), before)
  : null
const form = standing ?? create
const { values, faults, notice, busy } = form
const needed = computed(() => props.kind.entries.filter((entry) => entry.needed).map((entry) => entry.name))

async function save() {
  const outcome = standing
    ? await standing.submitChanged()
    : (await create.submit(['name', ...needed.value]))
      ? 'taken'
      : 'refused'
  if (standing && outcome !== 'refused') return emit('done')
  if (outcome !== 'refused') return
  await nextTick()
  document.querySelector<HTMLElement>('.means-form [aria-invalid="true"]')?.focus()
}

function cancel() {
  form.clear()
  emit('cancel')
}

const crewChoices = computed(() => [
  { value: '', text: t('means.anyCrew') },
  ...props.crews.map((crew) => ({ value: crew.id, text: crew.name })),
])
const choices = (entry: Entry) => [
  { value: '', text: t('means.notSaid') },
  ...entry.choices.map((value) => ({ value, text: t(`means.word.${entry.name}.${value}`) })),
]
const kindOf = (entry: Entry) => (entry.type === 'quantity' ? 'number' : undefined)
// Where a crew has no rate of its own, the firm's stands in the field.
const hint = ({ rate }: Entry) => rate && t('means.firmRate', { rate: reader.typed(rate) })
</script>

<template>
  <form class="means-form" novalidate @submit.prevent="save" @keydown.esc="cancel">
    <FormField v-model="values.name" :label="t('means.entry.name')" autofocus :fault="faults.name" />
    <PickField
      v-if="kind.kind === 'rig'"
      v-model="values.crew"
      :label="t('means.entry.crew')"
      :options="crewChoices"
      :fault="faults.crew"
    />
    <template v-for="entry in kind.entries" :key="entry.name">
      <PickField
        v-if="entry.type === 'choice'"
        v-model="values[entry.name]"
        :label="t(`means.entry.${entry.name}`)"
        :options="choices(entry)"
        :fault="faults[entry.name]"
      />
      <FormField
        v-else
        v-model="values[entry.name]"
        :class="{ wide: entry.name === 'note' }"
        :label="t(`means.entry.${entry.name}`)"
        :kind="kindOf(entry)"
        :hint="hint(entry) ?? undefined"
        :fault="faults[entry.name]"
      />
    </template>
    <p class="fault wide" role="alert">{{ notice }}</p>
    <div v-if="standing" class="wide">
      <FormMeetings :meetings="standing.meetings.value" book="means.entry" @decide="standing.decide" />
    </div>
    <div class="wide acts">
      <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('means.keep') }}</ElButton>
      <ElButton @click="cancel">{{ t('means.cancel') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.means-form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px 18px;
  margin: 12px 0;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 10px;
}
.fault:empty {
  display: none;
}
</style>
