<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { BY_NAME, strokesOf, textOf, type Stroke } from './strokes'

/** A field to sign in, with a finger, a pen or a mouse. Whoever cannot draw signs by name. */
defineProps<{ name: string; fault?: string }>()
const text = defineModel<string>({ required: true })
const { t } = useI18n()
const strokes = computed(() => strokesOf(text.value))
const drawn = ref<Stroke>()
const shown = computed(() => (drawn.value ? [...strokes.value, drawn.value] : strokes.value))
const points = (stroke: Stroke) => stroke.map(([x, y]) => `${x},${y}`).join(' ')

function at(event: PointerEvent): [number, number] {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const scale = 1000 / box.width
  return [Math.round((event.clientX - box.left) * scale), Math.round((event.clientY - box.top) * scale)]
}

function begin(event: PointerEvent) {
  ;(event.currentTarget as SVGElement).setPointerCapture(event.pointerId)
  drawn.value = [at(event)]
}

function move(event: PointerEvent) {
  if (drawn.value) drawn.value = [...drawn.value, at(event)]
}

function end() {
  if (drawn.value) text.value = textOf([...strokes.value, drawn.value])
  drawn.value = undefined
}
</script>

<template>
  <div class="sign">
    <span>{{ t('prove.inspection.draw') }}</span>
    <svg
      viewBox="0 0 1000 300"
      role="img"
      :aria-label="t('prove.inspection.draw')"
      @pointerdown.prevent="begin"
      @pointermove="move"
      @pointerup="end"
      @pointercancel="end"
    >
      <line x1="40" y1="240" x2="960" y2="240" class="base" />
      <text v-if="text === BY_NAME" x="60" y="220">{{ name }}</text>
      <polyline v-for="(stroke, i) in shown" :key="i" :points="points(stroke)" />
    </svg>
    <em v-if="fault" class="fault">{{ fault }}</em>
    <span>
      <ElButton v-if="text" link type="primary" @click="text = ''">{{ t('prove.inspection.clear') }}</ElButton>
      <ElButton v-else link type="primary" @click="text = BY_NAME">{{ t('prove.inspection.byName') }}</ElButton>
    </span>
  </div>
</template>

<style scoped>
.sign {
  display: grid;
  gap: 4px;
  max-width: 560px;
  justify-items: start;
}
svg {
  width: 100%;
  border: 1px solid var(--field-line);
  border-radius: 8px;
  background: var(--sheet);
  touch-action: none;
  cursor: crosshair;
}
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 7;
  stroke-linecap: round;
  stroke-linejoin: round;
}
text {
  font: 600 90px var(--head);
  fill: var(--ink);
}
.base {
  stroke: var(--line);
  stroke-width: 3;
}
</style>
