<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useStepWords } from '@/shared/sequences/stepWords'
import { useReader } from '@/shared/state/reader'
import FormField from '@/shared/ui/FormField.vue'

/** The step in hand, large enough for a thumb in a glove. */
const props = defineProps<{
  step: Schemas['StepDocument']
  told: Schemas['StepAnswer']
  number: number
  of: number
  fault: string
  locked: boolean
}>()
const emit = defineEmits<{ said: [text: string] }>()
const { t } = useI18n()
const reader = useReader()
const words = useStepWords()
const read = ref('')
const reason = ref('')
const skips = ref(false)

// A glove taps twice: what comes right after the last step was not meant for this one.
const TWICE_MS = 700
let shownAt = performance.now()
watch(
  () => props.step.id,
  () => {
    shownAt = performance.now()
    read.value = reason.value = ''
    skips.value = false
  },
)

const gauge = computed(() => props.step.reading?.gauge)
const limits = computed(() => {
  const [least, greatest] = [reader.print(props.told.least), reader.print(props.told.greatest)]
  if (least && greatest) return t('sequence.run.limits', { least, greatest })
  return least ? t('sequence.run.atLeast', { least }) : greatest ? t('sequence.run.atMost', { greatest }) : ''
})

function done() {
  // What was read had to be typed first.
  if (!gauge.value && performance.now() - shownAt < TWICE_MS) return
  shownAt = performance.now()
  emit('said', gauge.value ? read.value.trim() : 'done')
}
</script>

<template>
  <form class="now" novalidate @submit.prevent="done">
    <p class="small quiet top">
      <span>{{ t('sequence.run.progress', { done: number, of }) }}</span>
      <span>{{ t('sequence.run.who', { who: t(`sequence.who.${step.who}`) }) }}</span>
      <b v-if="told.hardStop" class="stop">{{ t('sequence.run.hardStop') }}</b>
    </p>
    <h2 aria-live="polite">{{ words.what(step) }}</h2>
    <p v-if="words.why(step)">{{ words.why(step) }}</p>
    <p v-if="words.wrong(step)" class="wrong">
      <b>{{ t('sequence.run.wrong') }}</b> {{ words.wrong(step) }}
    </p>
    <template v-if="told.state === 'open' && !locked">
      <FormField
        v-if="gauge"
        v-model="read"
        name="read"
        class="read"
        :label="t(`sequence.gauge.${gauge}`)"
        :note="limits"
        :fault="fault"
        kind="number"
      />
      <div v-if="skips" class="skip">
        <FormField v-model="reason" name="reason" :label="t('sequence.run.reason')" :fault="gauge ? '' : fault" />
        <ElButton :disabled="!reason.trim()" @click="emit('said', `skip: ${reason.trim()}`)">{{
          t('sequence.run.skipNow')
        }}</ElButton>
        <ElButton link type="primary" @click="skips = false">{{ t('sequence.run.cancel') }}</ElButton>
      </div>
      <p v-else-if="fault && !gauge" class="fault" role="alert">{{ fault }}</p>
      <div class="thumb">
        <button type="submit" class="press" :disabled="!!gauge && !read.trim()">
          {{ t(gauge ? 'sequence.run.save' : 'sequence.run.done') }}
        </button>
        <ElButton v-if="!told.hardStop && !skips" link type="primary" @click="skips = true">{{
          t('sequence.run.skip')
        }}</ElButton>
      </div>
    </template>
    <slot v-else />
  </form>
</template>

<style scoped>
.now {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 12px 16px 14px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
.stop {
  color: var(--hold);
  border: 2px solid currentColor;
  border-radius: 6px;
  padding: 1px 8px;
}
h2 {
  font-size: 1.5rem;
  line-height: 1.25;
  margin: 6px 0 8px;
}
.wrong {
  border-left: 4px solid var(--care);
  padding-left: 10px;
}
.wrong b {
  display: block;
}
.read {
  max-width: 240px;
}
.skip {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
}
.press {
  width: 100%;
  min-height: 84px;
  border: 0;
  border-radius: 12px;
  background: var(--copper);
  color: var(--copper-ink);
  font: 650 1.7rem var(--head);
  cursor: pointer;
  margin: 12px 0 4px;
}
.press:disabled {
  opacity: 0.5;
  cursor: default;
}
.press:focus-visible {
  outline: 4px solid var(--ink);
  outline-offset: 3px;
}
@media (max-width: 700px) {
  /* Where a thumb reaches it, however long the step's text is. */
  .thumb {
    position: sticky;
    bottom: 0;
    background: var(--sheet);
    padding-bottom: 4px;
  }
}
</style>
