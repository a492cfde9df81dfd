<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useWorkings } from '@/shared/state/workings'

/** From sheet yield to expected yield: what each factor takes or gives, as a bar of what is left after it. */
const props = defineProps<{ answer: Schemas['SetsAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const workings = useWorkings()

const steps = computed(() => {
  let left = 1
  return props.answer.factors.map((factor) => {
    left *= factor.value
    return { ...factor, left }
  })
})
const values = computed(() => ({
  substrate: { temp: reader.print(props.answer.figures.substrate?.figure) },
  drum: { temp: reader.print(props.answer.figures.drums?.figure) },
  lift: { lift: reader.print(props.answer.figures.lift?.figure) },
}))
const widest = computed(() => Math.max(1, ...steps.value.map((s) => s.left)))
const width = (share: number) => `${(share / widest.value) * 100}%`
const label = (key: string) => t(`sets.factor.${key}`, values.value[key as keyof typeof values.value] ?? {})
</script>

<template>
  <ul class="steps">
    <li>
      <span>{{ t('sets.sheetYield') }}</span>
      <span class="track"><span class="bar whole" :style="{ width: width(1) }" /></span>
      <b>{{ reader.print(answer.figures.sheetYield?.figure) }}</b>
    </li>
    <li v-for="step in steps" :key="step.key">
      <span>{{ label(step.key) }}</span>
      <span class="track"><span class="bar" :style="{ width: width(step.left) }" /></span>
      <button type="button" class="figure" @click="workings.open(step.working)">
        × {{ reader.print(step.figure) }}
      </button>
    </li>
    <li class="sum">
      <span>{{ t('sets.expected') }}</span>
      <span class="track"><span class="bar whole" :style="{ width: width(steps.at(-1)?.left ?? 1) }" /></span>
      <b>{{ reader.print(answer.figures.yield?.figure) }}</b>
    </li>
  </ul>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr 104px;
  gap: 10px;
  align-items: center;
  min-height: 34px;
}
.track {
  height: 16px;
  background: var(--line);
  display: block;
}
.bar {
  display: block;
  height: 100%;
  background: var(--foam-closed);
}
.whole {
  background: var(--ink-2);
}
b,
.figure {
  text-align: right;
  white-space: nowrap;
}
.sum {
  border-top: 1px solid var(--line);
}
</style>
