<script setup lang="ts">
import { computed, nextTick } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useChoices } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useRecordForm, useTypedForm } from '@/shared/state/typedForm'
import FormMeetings from '@/shared/ui/FormMeetings.vue'
import ZonePick from './ZonePick.vue'
import PickField from '@/shared/ui/PickField.vue'
import FormField from '@/shared/ui/FormField.vue'

/** A place of the firm's own, typed in either unit system. */
const props = defineProps<{ place?: Schemas['PlaceAnswer'] }>()
const emit = defineEmits<{ done: [made?: string]; cancel: [] }>()
const { t } = useI18n()
const reader = useReader()
const choices = useChoices()

const lines = [
  'name',
  'altitude',
  'heating',
  'cooling',
  'coolingRh',
  'latitude',
  'longitude',
  'temps',
  'humidities',
  'source',
] as const

const zones = computed(() => (choices.data.value?.climateZones ?? []).map((zone) => ({ value: zone, text: zone })))
const degrees = (angle: number | null | undefined) => (angle == null ? '' : String(angle))
const before = computed(() => ({
  name: props.place?.name ?? '',
  climateZone: props.place?.climateZone ?? '5A',
  altitude: reader.print(props.place?.figures.altitude),
  heating: reader.print(props.place?.figures.heating),
  cooling: reader.print(props.place?.figures.cooling),
  coolingRh: reader.print(props.place?.figures.coolingRh),
  temps: props.place?.temps.map(reader.print).join('; ') ?? '',
  humidities: props.place?.humidities.map(reader.print).join('; ') ?? '',
  source: props.place?.source ?? '',
  latitude: degrees(props.place?.latitude),
  longitude: degrees(props.place?.longitude),
  timeZone: props.place?.timeZone ?? '',
}))
let made: string | undefined
const create = useTypedForm('placeForm.new', before, async (fields) => {
  const place = await once('place', fields, (id) =>
    ask(api.POST('/api/places', { body: { id, version: null, units: reader.units, fields } })),
  )
  made = place.id
  return place
})
const standing = props.place
  ? useRecordForm({ kind: 'place', id: props.place.id }, Object.keys(before.value), before)
  : null
const form = standing ?? create
const { values, faults, notice, busy } = form

async function save() {
  const outcome = standing ? await standing.submitChanged() : (await create.submit(lines)) ? 'taken' : 'refused'
  if (outcome === 'taken' || outcome === 'waits') return emit('done', made)
  await nextTick()
  document.querySelector<HTMLElement>('.place-form [aria-invalid="true"]')?.focus()
}

function cancel() {
  form.clear()
  emit('cancel')
}
</script>

<template>
  <form class="place-form" novalidate @submit.prevent="save" @keydown.esc="cancel">
    <FormField
      v-for="field in lines"
      :key="field"
      v-model="values[field]"
      :class="{ wide: ['temps', 'humidities'].includes(field) }"
      :label="t(`places.form.${field}`)"
      :autofocus="field === 'name'"
      :fault="faults[field]"
    />
    <PickField
      v-model="values.climateZone"
      :label="t('places.form.climateZone')"
      :options="zones"
      :fault="faults.climateZone"
    />
    <div class="field">
      <label for="place-zone">{{ t('places.form.timeZone') }}</label>
      <ZonePick id="place-zone" v-model="values.timeZone!" />
      <em class="fault">{{ faults.timeZone }}</em>
    </div>
    <p class="fault wide" role="alert">{{ notice }}</p>
    <div v-if="standing" class="wide">
      <FormMeetings :meetings="standing.meetings.value" book="places.form" @decide="standing.decide" />
    </div>
    <div class="wide acts">
      <ElButton type="primary" native-type="submit" :disabled="busy">{{ t('places.keep') }}</ElButton>
      <ElButton @click="cancel">{{ t('places.cancel') }}</ElButton>
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
