<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'

/** The large button that starts and stops a lift. It says what was tapped before anything else is drawn of it. */
const props = defineProps<{ runs: boolean; since: string }>()
const emit = defineEmits<{ tap: []; press: [] }>()
const { t } = useI18n()

// What was tapped and has not come back yet.
const tapped = ref<boolean>()
watch(
  () => props.runs,
  () => (tapped.value = undefined),
)

// A glove taps twice: what comes right after the last tap was not meant.
const TWICE_MS = 700
let tappedAt = -TWICE_MS
function press() {
  if (performance.now() - tappedAt < TWICE_MS) return
  tappedAt = performance.now()
  tapped.value = !props.runs
  emit('tap')
  requestAnimationFrame(() => setTimeout(() => emit('press')))
}
</script>

<template>
  <button type="button" class="press" :class="{ runs: tapped ?? runs }" @click="press">
    <span>{{ t((tapped ?? runs) ? 'spray.stop' : 'spray.start') }}</span>
    <span v-if="runs && tapped !== false" class="since">{{ since }}</span>
  </button>
</template>

<style scoped>
.press {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  align-items: baseline;
  gap: 4px 18px;
  width: 100%;
  min-height: 84px;
  border: 0;
  border-radius: 12px;
  background: var(--copper);
  color: var(--copper-ink);
  font: 650 1.7rem var(--head);
  cursor: pointer;
  align-content: center;
  margin: 6px 0 12px;
}
.press.runs {
  background: var(--ink);
  color: var(--sheet);
}
.press:focus-visible {
  outline: 4px solid var(--copper);
  outline-offset: 3px;
}
.since {
  font-size: 1.1rem;
  font-variant-numeric: tabular-nums;
}
</style>
