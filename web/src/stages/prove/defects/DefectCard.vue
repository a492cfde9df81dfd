<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import type { Place } from '@/shared/keeping/kinds'
import PhotosOf from '@/shared/photos/PhotosOf.vue'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import { useCommandForm } from '@/shared/state/typedForm'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import { DEFECTS, waysOf } from './defectKinds'

/** A defect: what it is, why, how it is repaired, and whether that holds. */
const props = defineProps<{
  job: string
  surface: string
  defect: Schemas['DefectAnswer']
  place: () => Place
  timeZone?: string | null
  locked: boolean
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const times = useTimesIn(() => props.timeZone)
const form = useCommandForm(() => `repair.${props.defect.id}`, { repair: '' }, props.place)
const { values, faults, notice, busy } = form
const ways = computed(() => waysOf(props.defect.kind).map((value) => ({ value, text: t(`prove.repairWay.${value}`) })))
const kinds = computed(() => DEFECTS.map((value) => ({ value, text: t(`prove.defect.${value}`) })))
const title = computed(() => (props.defect.kind ? t(`prove.defect.${props.defect.kind}`) : t('prove.defects.noKind')))
const about = computed(() =>
  writing.listed(
    [
      props.defect.place ? t('prove.defects.at', { place: props.defect.place }) : '',
      reader.print(props.defect.size),
      t('prove.defects.found', { when: times.hour(props.defect.foundAt) }),
    ].filter(Boolean),
  ),
)
const causes = computed(() =>
  writing.listed(
    props.defect.likely.map(({ cause, isShown }) =>
      isShown ? t('prove.defects.causeShown', { cause: t(`prove.cause.${cause}`) }) : t(`prove.cause.${cause}`),
    ),
  ),
)
const verdict = computed(() => (props.defect.state === 'closed' ? 'clear' : 'hold'))

const repair = () => form.submit(['repair'], { kind: 'defectRepaired', of: props.defect.id })
const name = (kind: string | undefined) =>
  kind && emit('say', { kind: 'defect', replaces: props.defect.id, defect: kind })
const recheck = (sound: 'yes' | 'no') => emit('say', { kind: 'defectRechecked', of: props.defect.id, sound })
</script>

<template>
  <article>
    <header>
      <VerdictMark :verdict="verdict" :size="20" />
      <h3>{{ title }}</h3>
      <span class="quiet">{{ t(`prove.defects.state.${defect.state}`) }}</span>
    </header>
    <p class="small">{{ about }}</p>
    <p v-if="defect.words">{{ defect.words }}</p>
    <template v-if="defect.state !== 'closed'">
      <PickField
        v-if="!defect.kind && !locked"
        :model-value="''"
        :label="t('prove.defects.name')"
        :options="kinds"
        @update:model-value="name"
      />
      <p v-if="defect.kind">{{ t(`prove.howTo.${defect.kind}`) }}</p>
      <p v-if="causes" class="small">{{ t('prove.defects.likely', { causes }) }}</p>
    </template>
    <p v-if="defect.repair" class="small">
      {{ writing.labelled(t('prove.defects.repair'), t(`prove.repairWay.${defect.repair}`)) }}
    </p>
    <PhotosOf :job="job" :about="{ surface, entry: defect.id }" :word="t('prove.defects.photo')" small />
    <template v-if="!locked && defect.kind">
      <form v-if="defect.state === 'open'" novalidate @submit.prevent="repair">
        <PickField
          v-model="values.repair"
          name="repair"
          :label="t('prove.defects.repair')"
          :options="ways"
          :fault="faults.repair"
        />
        <FormField
          v-model="values.cutBack"
          name="cutBack"
          :label="t('prove.defects.cutBack')"
          kind="length"
          :hint="reader.units === 'us' ? '4 in' : '100 mm'"
          :fault="faults.cutBack"
        />
        <ElButton native-type="submit" class="large" :disabled="busy">{{ t('prove.defects.saveRepair') }}</ElButton>
        <p v-if="notice || faults.of" class="fault" role="alert">{{ notice || faults.of }}</p>
      </form>
      <p v-else-if="defect.state === 'repaired'" class="acts">
        <ElButton type="primary" class="large" @click="recheck('yes')">{{ t('prove.defects.sound') }}</ElButton>
        <ElButton class="large" @click="recheck('no')">{{ t('prove.defects.unsound') }}</ElButton>
      </p>
    </template>
  </article>
</template>

<style scoped>
article {
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  padding: 10px 14px;
  margin-bottom: 12px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
h3 {
  margin: 0;
}
p {
  margin: 4px 0;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  align-items: end;
  margin-top: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.acts .large {
  margin: 0;
}
.large {
  min-height: 48px;
}
</style>
