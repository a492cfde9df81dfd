<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useSchools } from '@/shared/figures/schools'
import { useReader } from '@/shared/state/reader'
import type { Typed } from '@/shared/state/typed'
import PickField from '@/shared/ui/PickField.vue'
import TypedField from '@/shared/ui/TypedField.vue'
import WeightSlide from './WeightSlide.vue'

/** What bears on a choice: what was said of the surface, what matters on the job, how the target is met, which school is followed. */
const props = defineProps<{
  choice: Schemas['ChoiceOfSurface']
  disabled: boolean
  typed: Typed
  /** Whether something stands on the foam. */
  bears: boolean
  /** What a control was set to while the server has not answered yet. */
  asked: (of: 'job' | 'surface', field: string) => string | undefined
}>()
const emit = defineEmits<{ fact: [fields: Record<string, string>]; job: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()

const parts = ['cost', 'depth', 'moisture', 'toughness', 'quiet', 'repair', 'speed'] as const
const pascal = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)
const question = computed(() => props.choice.answer.question)
const schoolsOf = useSchools()
const schools = computed(() => (question.value ? schoolsOf(question.value) : []))
const firmSchool = computed(() =>
  ['', 'either'].includes(props.choice.firmSchool)
    ? t('choose.school.either')
    : (schools.value.find((one) => one.value === props.choice.firmSchool)?.text ?? ''),
)
const followed = computed(() => [
  { value: '', text: t('choose.firmSchool', { school: firmSchool.value }) },
  { value: 'either', text: t('choose.school.either') },
  ...schools.value,
])
const schoolField = computed(() => `practice${pascal(question.value ?? '')}`)
const ticked = (fact: string, on: boolean) => {
  const asked = props.asked('surface', fact)
  return asked === undefined ? on : asked === 'yes'
}
const weight = (part: string) => props.asked('job', `weight${pascal(part)}`) ?? String(props.choice.weights[part])
const path = computed(() => props.asked('job', 'targetPath') ?? props.choice.answer.path)
</script>

<template>
  <section>
    <h2>{{ t('choose.facts') }}</h2>
    <ElCheckbox
      v-for="(on, fact) in choice.facts"
      :key="fact"
      class="check"
      :model-value="ticked(String(fact), on)"
      :disabled="disabled"
      @change="emit('fact', { [fact]: $event ? 'yes' : 'no' })"
    >
      {{ t(`choose.fact.${fact}`) }}
    </ElCheckbox>
    <TypedField
      v-if="bears"
      :typed="typed"
      field="facts.load"
      :label="t('choose.bearing')"
      :hint="t(reader.units === 'us' ? 'choose.bearingHint' : 'choose.bearingHintMetric')"
      :kept="reader.print(choice.load)"
      :disabled="disabled"
    />
  </section>
  <section v-if="choice.answer.labels.length">
    <h2>{{ t('choose.path') }}</h2>
    <ElRadioGroup
      class="two"
      :model-value="path"
      :aria-label="t('choose.path')"
      :disabled="disabled"
      @change="emit('job', { targetPath: String($event) })"
    >
      <ElRadio v-for="one in ['u', 'label'] as const" :key="one" :value="one" class="check">
        {{ t(`choose.path${pascal(one)}`) }}
      </ElRadio>
    </ElRadioGroup>
  </section>
  <section v-if="question">
    <h2>{{ t('choose.practice') }}</h2>
    <PickField
      :model-value="asked('job', schoolField) ?? choice.jobSchool"
      :label="t(`choose.question.${question}.t`)"
      :options="followed"
      :disabled="disabled"
      @update:model-value="emit('job', { [schoolField]: $event ?? '' })"
    />
  </section>
  <section>
    <h2>
      {{ t('choose.weights') }} <small class="quiet">{{ t('choose.weightHint') }}</small>
    </h2>
    <WeightSlide
      v-for="part in parts"
      :key="part"
      :value="Number(weight(part))"
      :label="t(`choose.part.${part}`)"
      :disabled="disabled"
      @change="emit('job', { [`weight${pascal(part)}`]: $event })"
    />
  </section>
</template>

<style scoped>
section {
  margin-bottom: 18px;
}
h2 {
  font-size: 1rem;
  margin-bottom: 4px;
}
h2 small {
  font: 400 var(--text-s) var(--body);
}
.check {
  display: flex;
}
.two {
  display: flex;
  gap: 18px;
}
</style>
