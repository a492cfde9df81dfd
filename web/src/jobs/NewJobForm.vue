<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, ask } from '../shared/api/client'
import { useProblems } from '../shared/figures/problems'
import { useChoices } from '../shared/state/job'
import { useReader } from '../shared/state/reader'

/** A new job from a name and a zone; design air is typed in either unit system. The draft outlives a refresh. */
const emit = defineEmits<{ cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()
const router = useRouter()
const queries = useQueryClient()
const { byField } = useProblems()

const blank = () => ({
  name: '',
  crew: '',
  climateZone: '5A',
  targetSet: reader.units === 'metric' ? 'metric-sample' : 'iecc-2021',
  indoorTemp: reader.units === 'metric' ? '20 C' : '70 F',
  indoorHumidity: '40 %',
  outdoorTemp: reader.units === 'metric' ? '-12 C' : '10 F',
  outdoorHumidity: '80 %',
})
const draft = useSessionStorage('draft.new-job', blank())
const faults = ref<Record<string, string>>({})
const busy = ref(false)
const typed = ['indoorTemp', 'indoorHumidity', 'outdoorTemp', 'outdoorHumidity'] as const

async function make() {
  busy.value = true
  faults.value = {}
  try {
    const body = { version: null, units: reader.units, fields: { ...draft.value } }
    const job = await ask(api.POST('/api/jobs', { body }))
    draft.value = blank()
    await queries.invalidateQueries({ queryKey: ['jobs'] })
    await router.push({ name: 'survey', params: { job: job.id } })
  } catch (cause) {
    faults.value = byField(cause)
    await nextTick()
    document.querySelector<HTMLElement>('.new-job [aria-invalid="true"]')?.focus()
  } finally {
    busy.value = false
  }
}

function cancel() {
  draft.value = blank()
  emit('cancel')
}
</script>

<template>
  <form class="new-job" novalidate @submit.prevent="make">
    <label class="field wide">
      <span>{{ t('jobs.form.name') }}</span>
      <input
        v-model="draft.name"
        class="input"
        autofocus
        :aria-invalid="!!faults.name"
        aria-describedby="job-name-fault"
      />
      <em id="job-name-fault" class="fault">{{ faults.name }}</em>
    </label>
    <label class="field">
      <span>{{ t('jobs.form.crew') }}</span>
      <input v-model="draft.crew" class="input" :aria-invalid="!!faults.crew" />
      <em class="fault">{{ faults.crew }}</em>
    </label>
    <label class="field">
      <span>{{ t('jobs.form.climateZone') }}</span>
      <select v-model="draft.climateZone" class="input">
        <option v-for="zone in choices.data.value?.climateZones" :key="zone">{{ zone }}</option>
      </select>
    </label>
    <label class="field wide">
      <span>{{ t('jobs.form.targetSet') }}</span>
      <select v-model="draft.targetSet" class="input">
        <option v-for="set in choices.data.value?.targetSets" :key="set.id" :value="set.id">{{ set.edition }}</option>
      </select>
    </label>
    <fieldset>
      <legend>{{ t('jobs.form.design') }}</legend>
      <label v-for="field in typed" :key="field" class="field">
        <span>{{ t(`jobs.form.${field}`) }}</span>
        <input
          v-model="draft[field]"
          class="input"
          :aria-invalid="!!faults[field]"
          :aria-describedby="`job-${field}-fault`"
        />
        <em :id="`job-${field}-fault`" class="fault">{{ faults[field] }}</em>
      </label>
    </fieldset>
    <p v-if="faults['']" class="fault wide" role="alert">{{ faults[''] }}</p>
    <div class="wide buttons">
      <button type="submit" class="button main" :disabled="busy">{{ t('jobs.form.create') }}</button>
      <button type="button" class="button" @click="cancel">{{ t('app.cancel') }}</button>
    </div>
  </form>
</template>

<style scoped>
.new-job {
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
  grid-template-columns: repeat(4, 1fr);
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
  .new-job,
  fieldset {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
