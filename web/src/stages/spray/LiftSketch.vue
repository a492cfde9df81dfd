<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** How much foam is on, what this lift adds, and what is specified: lying on its side, the substrate at the left. */
const props = defineProps<{ answer: Schemas['SprayAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const done = computed(() => props.answer.depth ?? plannedSoFar.value)
const plannedSoFar = computed(() => {
  const before = props.answer.number - 1
  return before > 0 ? { ...props.answer.each, amount: props.answer.each.amount * before } : null
})
const most = computed(() => Math.max(props.answer.specified.amount, done.value?.amount ?? 0) * 1.06)
const share = (amount: number) => `calc((100% - 14px) * ${Math.min(1, amount / most.value)})`
const adds = computed(() => Math.max(0, props.answer.needs.amount - (done.value?.amount ?? 0)))
const says = computed(() =>
  [
    props.answer.depth ? t('spray.lift.done', { depth: reader.print(props.answer.depth) }) : '',
    t('spray.lift.specified', { depth: reader.print(props.answer.specified) }),
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <div class="sketch" role="img" :aria-label="says">
    <span class="substrate" />
    <span class="foam" :style="{ width: share(done?.amount ?? 0) }" />
    <span class="adds" :style="{ width: share(adds) }" />
    <span class="specified" :style="{ left: `calc(14px + ${share(answer.specified.amount)})` }" />
  </div>
  <p class="small told">{{ says }}</p>
</template>

<style scoped>
.sketch {
  position: relative;
  display: flex;
  height: 54px;
  margin: 8px 0 2px;
}
.substrate {
  flex: none;
  width: 14px;
  background: var(--ink-2);
  opacity: 0.55;
}
.foam {
  background: var(--foam, #e9cf8a);
}
.adds {
  border: 2px dashed var(--copper);
  border-left: 0;
}
.specified {
  position: absolute;
  top: -4px;
  bottom: -4px;
  border-left: 2px solid var(--ink);
}
.told {
  margin: 0 0 8px;
}
</style>
