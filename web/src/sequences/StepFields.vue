<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useStepWords } from '@/shared/sequences/stepWords'
import FormField from '@/shared/ui/FormField.vue'
import PickField from '@/shared/ui/PickField.vue'
import type { TypedStep } from './draft'

/** The fields of a step. What is blank of a step that is supplied has the supplied words. */
const props = defineProps<{
  step: TypedStep
  others: readonly TypedStep[]
  faults: Record<string, string>
  isSupplied: boolean
}>()
const emit = defineEmits<{ change: [step: TypedStep] }>()
const { t, tm } = useI18n()
const words = useStepWords()
const set = (change: Partial<TypedStep>) => emit('change', { ...props.step, ...change })

const TEXTS = ['what', 'why', 'wrong'] as const
const supplied = (part: (typeof TEXTS)[number]) => (props.isSupplied ? words[part]({ id: props.step.id }) : '')
const optionsOf = (book: string) =>
  Object.keys(tm(`sequence.${book}`) as object).map((value) => ({ value, text: t(`sequence.${book}.${value}`) }))
const roles = optionsOf('who')
const acts = [{ value: '', text: t('sequence.edit.noAct') }, ...optionsOf('act')]
const gauges = [{ value: '', text: t('sequence.edit.noGauge') }, ...optionsOf('gauge')]
const before = computed(() => props.others.map((one) => ({ id: one.id, text: words.what(one) || one.id })))
</script>

<template>
  <div class="fields">
    <FormField
      v-for="part in TEXTS"
      :key="part"
      class="wide"
      :label="t(`sequence.edit.${part}`)"
      :name="part"
      :lines="2"
      :hint="supplied(part)"
      :model-value="step[part]"
      :fault="faults[part]"
      @update:model-value="set({ [part]: $event })"
    />
    <PickField
      :label="t('sequence.edit.who')"
      name="who"
      :options="roles"
      :model-value="step.who"
      @update:model-value="set({ who: ($event ?? 'anyone') as TypedStep['who'] })"
    />
    <PickField
      :label="t('sequence.edit.act')"
      name="act"
      :disabled="isSupplied && step.act !== null"
      :options="acts"
      :model-value="step.act ?? ''"
      @update:model-value="set({ act: ($event || null) as TypedStep['act'] })"
    />
    <PickField
      :label="t('sequence.edit.gauge')"
      name="gauge"
      :options="gauges"
      :model-value="step.gauge ?? ''"
      @update:model-value="set({ gauge: ($event || null) as TypedStep['gauge'], least: '', greatest: '' })"
    />
    <template v-if="step.gauge">
      <FormField
        v-for="end in ['least', 'greatest'] as const"
        :key="end"
        :label="t(`sequence.edit.${end}`)"
        :name="end"
        kind="number"
        :model-value="step[end]"
        :fault="faults[end]"
        @update:model-value="set({ [end]: $event })"
      />
    </template>
    <FormField
      :label="t('sequence.edit.wait')"
      name="wait"
      kind="number"
      :hint="t('sequence.edit.waitExample')"
      :model-value="step.wait"
      :fault="faults.wait"
      @update:model-value="set({ wait: $event })"
    />
    <ElCheckbox :model-value="step.hardStop" @update:model-value="set({ hardStop: $event === true })">{{
      t('sequence.edit.hardStop')
    }}</ElCheckbox>
    <div class="wide field">
      <label>{{ t('sequence.edit.after') }}</label>
      <ElCheckboxGroup
        :model-value="step.after"
        :aria-label="t('sequence.edit.after')"
        @update:model-value="set({ after: $event as string[] })"
      >
        <ElCheckbox v-for="one in before" :key="one.id" :value="one.id">{{ one.text }}</ElCheckbox>
      </ElCheckboxGroup>
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px 18px;
  align-items: end;
  padding: 4px 0 12px;
}
.wide {
  grid-column: 1 / -1;
}
.wide :deep(.el-checkbox-group) {
  columns: 2;
}
.wide :deep(.el-checkbox) {
  display: flex;
  white-space: normal;
  height: auto;
  min-height: 32px;
}
@media (max-width: 700px) {
  .wide :deep(.el-checkbox-group) {
    columns: 1;
  }
  .wide :deep(.el-checkbox) {
    min-height: 44px;
  }
}
</style>
