<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import { useCommandForm } from '@/shared/state/typedForm'
import FindingLine from '@/shared/ui/FindingLine.vue'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'

/** Samples: density of a cut piece, a pull, how the cells look. */
const props = defineProps<{
  job: string
  surface: string
  samples: readonly Schemas['SampleAnswer'][]
  place: () => Place
  timeZone?: string | null
  locked: boolean
}>()
const { t } = useI18n()
const reader = useReader()
const times = useTimesIn(() => props.timeZone)
const form = useCommandForm(() => `sample.${props.surface}`, { sample: 'density', failedIn: '', look: '' }, props.place)
const { values, faults, notice, busy } = form
const options = (book: 'sampleKind' | 'failedIn' | 'look', keys: readonly string[]) =>
  keys.map((value) => ({ value, text: t(`prove.${book}.${value}`) }))
const kinds = computed(() => options('sampleKind', ['density', 'adhesion', 'look']))
const fails = computed(() => options('failedIn', ['foam', 'face', 'substrate', 'glue']))
const looks = computed(() => options('look', ['even', 'coarse', 'streaked', 'brown']))
const hint = (us: string, metric: string) =>
  t('prove.samples.weightHint', { example: reader.units === 'us' ? us : metric })

// Fields of another kind of sample stay typed and are not sent.
const FIELDS: Record<string, string[]> = {
  density: ['pieceWeight', 'pieceVolume'],
  adhesion: ['pull', 'failedIn'],
  look: ['look'],
}

const save = () => {
  const kind = values.sample ?? 'density'
  const fields = Object.fromEntries(FIELDS[kind]!.map((field) => [field, values[field] ?? '']))
  return form.submitOnly({ kind: 'sampled', sample: kind, ...fields })
}
</script>

<template>
  <section>
    <h2>{{ t('prove.samples.title') }}</h2>
    <p v-if="!samples.length" class="quiet">{{ t('prove.samples.none') }}</p>
    <div v-for="one in samples" :key="one.id" class="sample">
      <FindingLine :finding="one.finding" :size="18" detail />
      <span class="small quiet">{{ times.hour(one.at) }}</span>
    </div>
    <form v-if="!locked" novalidate @submit.prevent="save">
      <PickField v-model="values.sample" name="sample" :label="t('prove.samples.kind')" :options="kinds" />
      <template v-if="values.sample === 'density'">
        <FormField
          v-model="values.pieceWeight"
          name="pieceWeight"
          :label="t('prove.samples.weight')"
          :hint="hint('1.2 oz', '34 g')"
          :fault="faults.pieceWeight"
        />
        <FormField
          v-model="values.pieceVolume"
          name="pieceVolume"
          :label="t('prove.samples.volume')"
          :hint="hint('34 fl oz', '1000 ml')"
          :fault="faults.pieceVolume"
        />
      </template>
      <template v-else-if="values.sample === 'adhesion'">
        <FormField
          v-model="values.pull"
          name="pull"
          :label="t('prove.samples.pull')"
          :hint="hint('20 psi', '140 kPa')"
          :fault="faults.pull"
        />
        <PickField
          v-model="values.failedIn"
          name="failedIn"
          :label="t('prove.samples.failedIn')"
          :options="fails"
          :fault="faults.failedIn"
        />
      </template>
      <PickField
        v-else
        v-model="values.look"
        name="look"
        :label="t('prove.samples.look')"
        :options="looks"
        :fault="faults.look"
      />
      <ElButton native-type="submit" class="large" :disabled="busy">{{ t('prove.samples.save') }}</ElButton>
      <p v-if="notice" class="fault" role="alert">{{ notice }}</p>
    </form>
  </section>
</template>

<style scoped>
.sample {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 14px;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  align-items: end;
  margin: 8px 0 16px;
}
.large {
  min-height: 48px;
}
</style>
