<script setup lang="ts">
import FoldBox from '@/shared/ui/FoldBox.vue'
import { useWriting } from '@/i18n/writing'
import { v7 } from 'uuid'
import { computed, nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useClock } from '@/shared/state/clock'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import type { Outcome } from '@/shared/keeping/editor'
import { useCommandForm } from '@/shared/state/typedForm'
import DoubtNote from '@/shared/ui/DoubtNote.vue'
import { kindOf } from '@/shared/typing/fieldKeys'
import PickField from '@/shared/ui/PickField.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Today's readings, typed from the instruments. What is typed outlives a refresh until it is taken down. */
const props = defineProps<{ job: string; surface: string; answer: Schemas['WindowOfSurface'] }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const now = useClock()

const form = useCommandForm(
  () => `readings.${props.surface}`,
  { foundDry: '', humidityOver: '' },
  () => ({ kind: 'reading', id: `${props.surface}/${v7()}`, within: props.job }),
)
const { values: typed, typed: inForm, faults, notice, busy } = form
const dry = computed(() => ['', 'yes', 'no'].map((value) => ({ value, text: t(`window.dry.${value || 'keep'}`) })))
const over = computed(() => ['', 'ice'].map((value) => ({ value, text: t(`window.over.${value || 'water'}`) })))
const done = ref<Outcome | ''>('')
const mayEdit = computed(() => session.may('record'))

const kinds: Record<string, Schemas['ReadingKind']> = {
  substrate: 'substrateTemperature',
  air: 'airTemperature',
  humidity: 'humidity',
  wood: 'woodMoisture',
  concrete: 'concreteMoisture',
  drumA: 'drumA',
  drumB: 'drumB',
  outdoorAir: 'outdoorTemperature',
  outdoorHumidity: 'outdoorHumidity',
  foundDry: 'foundDry',
}
const fields = computed(() => [
  'substrate',
  'air',
  'humidity',
  ...(props.answer.substrateKind === 'wood' ? ['wood'] : []),
  ...(props.answer.substrateKind === 'mineral' ? ['concrete'] : []),
  'drumA',
  'drumB',
  ...(props.answer.openFace ? [] : ['outdoorAir', 'outdoorHumidity']),
])

// Said of all readings taken down together.
const aboutIsSaid = computed(() => about.value.some((field) => typed[field] || faults.value[field]))
const about = computed(() => [
  'instrument',
  'thermometerError',
  'moistureError',
  'place',
  ...(props.answer.substrateKind === 'wood' ? ['species', 'correction'] : []),
])

function last(field: string) {
  const reading = props.answer.readings.find((one) => one.kind === kinds[field])
  if (!reading) return t('window.never')
  const value = reading.figure ? reader.print(reading.figure) : t(`window.dry.${reading.foundDry ? 'yes' : 'no'}`)
  const error = reading.statedError ? t('window.within', { error: reader.print(reading.statedError) }) : ''
  const where = writing.listed([error, reading.place, reading.species].filter(Boolean))
  return writing.noted(t('window.last', { value, age: age(reading.takenAt) }), where)
}

function age(at: string) {
  const minutes = Math.max(0, Math.round((now.value.getTime() - new Date(at).getTime()) / 60_000))
  if (minutes < 1) return t('window.age.now')
  if (minutes < 60) return t('window.age.min', { n: minutes })
  return minutes < 2880
    ? t('window.age.h', { n: Math.round(minutes / 60) })
    : t('window.age.d', { n: Math.round(minutes / 1440) })
}

async function save() {
  done.value = ''
  if (!Object.values(inForm.value).some((text) => text.trim())) return
  const outcome = await form.submit()
  done.value = outcome === 'refused' ? '' : outcome
  if (outcome !== 'refused') return
  await nextTick()
  document.querySelector<HTMLElement>('.readings [aria-invalid="true"]')?.focus()
}
</script>

<template>
  <form class="readings" novalidate @submit.prevent="save">
    <div class="head">
      <h2>{{ t('window.readings') }}</h2>
      <p class="small quiet">{{ t('window.lead') }}</p>
    </div>
    <FormField
      v-for="field in fields"
      :key="field"
      v-model="typed[field]"
      :name="field"
      :label="t(`window.field.${field}`)"
      :kind="kindOf(field)"
      :note="last(field)"
      :disabled="!mayEdit"
      :fault="faults[field]"
    >
      <DoubtNote :doubt="form.doubtOf(field)" @other="form.submitOther(field, $event)" @right="form.right(field)" />
    </FormField>
    <PickField
      v-model="typed.foundDry"
      name="foundDry"
      :label="t('window.field.foundDry')"
      :options="dry"
      :disabled="!mayEdit"
    >
      <em class="small quiet">{{ last('foundDry') }}</em>
    </PickField>
    <PickField
      v-model="typed.humidityOver"
      name="humidityOver"
      :label="t('window.field.humidityOver')"
      :options="over"
      :disabled="!mayEdit"
    />
    <FoldBox class="about" :title="t('window.about')" :opened="aboutIsSaid">
      <div class="fields">
        <FormField
          v-for="field in about"
          :key="field"
          v-model="typed[field]"
          :name="field"
          :label="t(`window.field.${field}`)"
          :kind="kindOf(field)"
          :disabled="!mayEdit"
          :fault="faults[field]"
        />
      </div>
      <p v-if="answer.substrateKind === 'wood'" class="small quiet">{{ t('window.correctionLead') }}</p>
    </FoldBox>
    <div class="go">
      <ElButton type="primary" native-type="submit" :disabled="busy || !mayEdit">{{ t('window.save') }}</ElButton>
      <span role="status" class="small quiet">{{
        done ? t(done === 'waits' ? 'window.waits' : 'window.saved') : ''
      }}</span>
      <span v-if="notice" class="fault" role="alert">{{ notice }}</span>
    </div>
  </form>
</template>

<style scoped>
.about {
  grid-column: 1 / -1;
}
.about .fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
  align-items: end;
}
.readings {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 12px 16px 14px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 10px 14px;
  margin-bottom: 20px;
}
.head,
.go {
  grid-column: 1 / -1;
}
.go {
  display: flex;
  gap: 14px;
  align-items: center;
}
em {
  font-style: normal;
}
</style>
