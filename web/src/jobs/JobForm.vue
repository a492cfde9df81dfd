<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '../shared/api/client'
import { once } from '../shared/api/once'
import { doubts } from '../shared/state/doubts'
import { useChoices } from '../shared/state/job'
import { useCrewNames } from '../shared/state/price'
import { useReader } from '../shared/state/reader'
import { useRecordForm, useTypedForm } from '../shared/state/typedForm'
import { jobStates } from './jobLife'
import { usePlaceTaking } from './placeTaking'
import DoubtNote from '../shared/ui/DoubtNote.vue'
import FormMeetings from '../shared/ui/FormMeetings.vue'
import PickField from '../shared/ui/PickField.vue'
import { kindOf } from '@/shared/typing/fieldKeys'
import FormField from '@/shared/ui/FormField.vue'

/** A job's name, zone, targets and design air, typed in either unit system: a new one, or one that stands. The draft outlives a refresh. */
const props = defineProps<{
  job?: Schemas['JobAnswer']
  /** The field the person came for. */
  first?: string
  /** A place that was added for it just now. */
  place?: string
}>()
const emit = defineEmits<{ cancel: []; done: [id: string] }>()
const { t } = useI18n()
const { listed, noted } = useWriting()
const reader = useReader()
const choices = useChoices()
const queries = useQueryClient()

const typed = [
  'indoorTemp',
  'indoorHumidity',
  'outdoorTemp',
  'outdoorHumidity',
  'summerIndoorTemp',
  'summerIndoorHumidity',
  'summerOutdoorTemp',
  'summerOutdoorHumidity',
  'altitude',
  'height',
] as const

function start(): Record<string, string> {
  const metric = reader.units === 'metric'
  const shown = (field: (typeof typed)[number], usual: string) =>
    props.job ? reader.print(props.job.figures[field]) : usual
  return {
    name: props.job?.name ?? '',
    crew: props.job?.crew ?? '',
    state: props.job?.state ?? 'estimate',
    climateZone: props.job?.climateZone ?? '5A',
    place: props.job?.placeId ?? '',
    humidityClass: props.job ? String(props.job.humidityClass ?? '') : '3',
    roomTemps: props.job?.roomTemps.map(reader.print).join('; ') ?? '',
    roomHumidities: props.job?.roomHumidities.map(reader.print).join('; ') ?? '',
    targetSet: props.job?.targetSetId ?? (metric ? 'metric-sample' : 'iecc-2021'),
    indoorTemp: shown('indoorTemp', metric ? '20 C' : '70 F'),
    indoorHumidity: shown('indoorHumidity', '40 %'),
    outdoorTemp: shown('outdoorTemp', metric ? '-12 C' : '10 F'),
    outdoorHumidity: shown('outdoorHumidity', '80 %'),
    summerIndoorTemp: shown('summerIndoorTemp', metric ? '24 C' : '75 F'),
    summerIndoorHumidity: shown('summerIndoorHumidity', '50 %'),
    summerOutdoorTemp: shown('summerOutdoorTemp', metric ? '31 C' : '88 F'),
    summerOutdoorHumidity: shown('summerOutdoorHumidity', '50 %'),
    altitude: shown('altitude', metric ? '0 m' : '0 ft'),
    height: shown('height', ''),
  }
}

const before = computed(start)
const create = useTypedForm('jobForm.new', before, async (fields) => {
  const made = await once('job', fields, (id) =>
    ask(api.POST('/api/jobs', { body: { id, version: null, units: reader.units, fields } })),
  )
  // The form closes; what it was in doubt about is marked on the board.
  doubts.answered(`job.${made.id}`, Object.keys(fields), made)
  void queries.invalidateQueries({ queryKey: ['jobs'] })
  emit('done', made.id)
})
const standing = props.job
  ? useRecordForm({ kind: 'job', id: props.job.id, within: props.job.id }, Object.keys(start()), before)
  : null
const form = standing ?? create
const { values, faults, notice, busy } = form

async function save() {
  const outcome = standing ? await standing.submitChanged() : (await create.submit()) ? 'taken' : 'refused'
  // Without a connection it is sent by itself later: the person has nothing more to do here.
  if (standing && (outcome === 'taken' || outcome === 'waits')) emit('done', props.job!.id)
  if (outcome !== 'refused') return
  await nextTick()
  document.querySelector<HTMLElement>('.job-form [aria-invalid="true"]')?.focus()
}

// A place brings its zone and design air along; what the person typed stays, and all of it can be taken back.
const took = usePlaceTaking(form, (id) => choices.data.value?.places.find((one) => one.id === id))

const places = computed(() => [
  { value: '', text: t('jobs.form.noPlace') },
  ...(choices.data.value?.places ?? []).map((one) => ({ value: one.id, text: noted(one.name, one.climateZone) })),
])
const humidityClasses = computed(() =>
  ['1', '2', '3', '4', '5', ''].map((value) => ({
    value,
    text: value ? t(`jobs.form.class.${value}`) : t('jobs.form.byMonth'),
  })),
)
const crews = useCrewNames()
const states = computed(() => jobStates.map((value) => ({ value, text: t(`jobs.state.${value}`) })))
const zones = computed(() => (choices.data.value?.climateZones ?? []).map((zone) => ({ value: zone, text: zone })))
const targetSets = computed(() =>
  (choices.data.value?.targetSets ?? []).map((set) => ({ value: set.id, text: set.edition })),
)

const names = (fields: readonly string[]) => listed(fields.map((field) => t(`jobs.form.${field}`)))

// A place that was added for this job is taken as soon as it is known here, and only once.
const wanted = computed(() => !props.job && choices.data.value?.places.find((one) => one.id === props.place)?.id)
watch(
  wanted,
  (id) => {
    if (!id || values.place === id) return
    values.place = id
    took.take(id)
  },
  { immediate: true },
)

const placeField = useTemplateRef('placeField')
// Whoever was led to the place types at once: the list to type in has to be there.
const isThere = computed(() => !!choices.data.value)
onMounted(() => {
  if (props.first !== 'place') return
  watch(isThere, (is) => is && placeField.value?.focus(), { immediate: true, flush: 'post' })
})

function cancel() {
  form.clear()
  emit('cancel')
}
</script>

<template>
  <form class="job-form" novalidate @submit.prevent="save">
    <FormField v-model="values.name" class="wide" :label="t('jobs.form.name')" autofocus :fault="faults.name" />
    <FormField v-model="values.crew" :label="t('jobs.form.crew')" :known="crews" :fault="faults.crew" />
    <PickField v-model="values.state" :label="t('jobs.form.state')" :options="states" :fault="faults.state" />
    <fieldset>
      <legend>{{ t('jobs.form.placeTitle') }}</legend>
      <PickField
        ref="placeField"
        v-model="values.place"
        class="wide"
        :label="t('jobs.form.place')"
        :options="places"
        @update:model-value="took.take"
      >
        <RouterLink v-if="!job" class="act" :to="{ name: 'places', query: { back: 'job' } }">
          {{ t('jobs.form.addPlace') }}
        </RouterLink>
        <span class="small quiet" role="status">
          <template v-if="took.taken.value">
            {{
              took.taken.value.fields.length
                ? t('jobs.form.placeTook', { name: took.taken.value.name, fields: names(took.taken.value.fields) })
                : ''
            }}
            <ElButton v-if="took.taken.value.fields.length" link type="primary" @click="took.undo()">
              {{ t('app.undo') }}
            </ElButton>
            <span v-for="one in took.taken.value.kept" :key="one.field" class="kept">
              {{ t('jobs.form.placeKept', { field: t(`jobs.form.${one.field}`), typed: values[one.field] }) }}
              <ElButton link type="primary" @click="took.takeOne(one.field)">
                {{ t('jobs.form.placeTake', { value: one.value }) }}
              </ElButton>
            </span>
          </template>
        </span>
      </PickField>
      <PickField
        v-model="values.humidityClass"
        class="wide"
        :label="t('jobs.form.humidityClass')"
        :options="humidityClasses"
      />
      <template v-if="values.humidityClass === ''">
        <FormField
          v-for="field in ['roomTemps', 'roomHumidities'] as const"
          :key="field"
          v-model="values[field]"
          class="whole"
          :label="t(`jobs.form.${field}`)"
          :fault="faults[field]"
        />
      </template>
    </fieldset>
    <PickField v-model="values.climateZone" :label="t('jobs.form.climateZone')" :options="zones" />
    <PickField v-model="values.targetSet" class="wide" :label="t('jobs.form.targetSet')" :options="targetSets" />
    <fieldset>
      <legend>{{ t('jobs.form.design') }}</legend>
      <FormField
        v-for="field in typed"
        :key="field"
        v-model="values[field]"
        :label="t(`jobs.form.${field}`)"
        :kind="kindOf(field)"
        :fault="faults[field]"
      >
        <DoubtNote :doubt="form.doubtOf(field)" @other="values[field] = $event" @right="form.right(field)" />
      </FormField>
    </fieldset>
    <p v-if="notice" class="fault wide" role="alert">{{ notice }}</p>
    <div v-if="standing" class="wide">
      <FormMeetings :meetings="standing.meetings.value" book="jobs.form" @decide="standing.decide" />
    </div>
    <div class="wide buttons">
      <ElButton type="primary" native-type="submit" :disabled="busy">
        {{ t(job ? 'jobs.form.save' : 'jobs.form.create') }}
      </ElButton>
      <ElButton @click="cancel">{{ t('app.cancel') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.job-form {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 20px;
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 14px;
  margin-bottom: 28px;
}
.wide {
  grid-column: span 2;
}
fieldset {
  grid-column: 1 / -1;
  border: 0;
  border-top: 1px solid var(--line);
  padding: 12px 0 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 14px;
}
legend {
  float: left;
  grid-column: 1 / -1;
  font-weight: 650;
}
.buttons {
  display: flex;
  gap: 12px;
  grid-column: 1 / -1;
}
em {
  font-style: normal;
}
@media (max-width: 760px) {
  .job-form,
  fieldset {
    grid-template-columns: 1fr 1fr;
  }
}
.whole {
  grid-column: 1 / -1;
}
.kept {
  display: block;
}
</style>
