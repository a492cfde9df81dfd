<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ApiProblem, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useChoices } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'

/** A place of the firm's own, typed in either unit system. */
const props = defineProps<{ place?: Schemas['PlaceAnswer'] }>()
const emit = defineEmits<{ done: []; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()
const { byField, general } = useProblems()

const lines = ['name', 'altitude', 'heating', 'cooling', 'coolingRh', 'temps', 'humidities', 'source'] as const
type Draft = Record<(typeof lines)[number] | 'climateZone', string>

const start = (): Draft => ({
  name: props.place?.name ?? '',
  climateZone: props.place?.climateZone ?? '5A',
  altitude: reader.print(props.place?.figures.altitude),
  heating: reader.print(props.place?.figures.heating),
  cooling: reader.print(props.place?.figures.cooling),
  coolingRh: reader.print(props.place?.figures.coolingRh),
  temps: props.place?.temps.map(reader.print).join('; ') ?? '',
  humidities: props.place?.humidities.map(reader.print).join('; ') ?? '',
  source: props.place?.source ?? '',
})
const before = start()
const draft = ref<Draft>({ ...before })
const faults = ref<Record<string, string>>({})
const busy = ref(false)

// Only what was changed travels: a rounded print of an untouched figure must not overwrite the figure.
const changed = () =>
  Object.fromEntries(
    Object.entries(draft.value).filter(([field, text]) => !props.place || text !== before[field as keyof Draft]),
  )

async function save() {
  busy.value = true
  faults.value = {}
  const body = { version: props.place?.version ?? null, units: reader.units, fields: changed() }
  try {
    await ask(
      props.place
        ? api.PATCH('/api/places/{id}', { params: { path: { id: props.place.id } }, body })
        : api.POST('/api/places', { body }),
    )
    emit('done')
  } catch (cause) {
    faults.value = cause instanceof ApiProblem && cause.faults.length ? byField(cause) : { '': general(cause) }
    await nextTick()
    document.querySelector<HTMLElement>('.place-form [aria-invalid="true"]')?.focus()
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="place-form" novalidate @submit.prevent="save" @keydown.esc="emit('cancel')">
    <label v-for="field in lines" :key="field" class="field" :class="{ wide: ['temps', 'humidities'].includes(field) }">
      <span>{{ t(`places.form.${field}`) }}</span>
      <input
        v-model="draft[field]"
        class="input"
        :autofocus="field === 'name'"
        :aria-invalid="!!faults[field]"
        :aria-describedby="`place-${field}-fault`"
      />
      <em :id="`place-${field}-fault`" class="fault">{{ faults[field] }}</em>
    </label>
    <label class="field">
      <span>{{ t('places.form.climateZone') }}</span>
      <select v-model="draft.climateZone" class="input">
        <option v-for="zone in choices.data.value?.climateZones" :key="zone">{{ zone }}</option>
      </select>
      <em class="fault">{{ faults.climateZone }}</em>
    </label>
    <p class="fault wide" role="alert">{{ faults[''] }}</p>
    <div class="wide acts">
      <button class="button main" :disabled="busy">{{ t('places.keep') }}</button>
      <button type="button" class="button" @click="emit('cancel')">{{ t('places.cancel') }}</button>
    </div>
  </form>
</template>

<style scoped>
.place-form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
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
