<script setup lang="ts">
import { computed, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** A tape along the foam: inches or millimetres from the substrate, with a notch at every thickness that means something. */
const props = defineProps<{
  origin: number
  direction: 1 | -1
  pxPerMm: number
  lengthMm: number
  notches: readonly Schemas['NotchAnswer'][]
  y: number
  minX: number
  maxX: number
}>()
const emit = defineEmits<{ rows: [count: number] }>()
const { t } = useI18n()
const reader = useReader()

const xOf = (mm: number) => props.origin + props.direction * mm * props.pxPerMm
const left = computed(() => Math.min(xOf(0), xOf(props.lengthMm)))
const length = computed(() => props.lengthMm * props.pxPerMm)

const ticks = computed(() => {
  const us = reader.units === 'us'
  const [small, big] = us ? [6.35, 25.4] : [5, 50]
  const every = big * props.pxPerMm < 14 ? 4 : big * props.pxPerMm < 26 ? 2 : 1
  const step = small * props.pxPerMm < 3.5 ? big : small
  const count = Math.floor(props.lengthMm / step + 1e-6)
  return Array.from({ length: count }, (_, i) => {
    const mm = (i + 1) * step
    const n = mm / big
    const whole = Math.abs(n - Math.round(n)) < 1e-6
    const label = whole && Math.round(n) % every === 0 ? String(us ? Math.round(n) : Math.round(mm)) : ''
    return { x: xOf(mm), whole, label }
  })
})

// Labels stand in rows below the tape, the rightmost notch in the top row: so no lead line crosses a label.
const placed = computed(() => {
  const starts: number[] = []
  return [...props.notches]
    .filter((n) => n.thicknessMm <= props.lengthMm + 0.1)
    .map((n) => ({
      ...n,
      x: xOf(n.thicknessMm),
      text: t(`section.notch.${n.key}`, { thickness: reader.print(n.thickness) }),
    }))
    .sort((a, b) => b.x - a.x)
    .map((n) => {
      const width = n.text.length * 6.4 + 10
      const start = Math.min(Math.max(n.x - 4, props.minX), props.maxX - width)
      let row = starts.findIndex((taken) => start + width < taken)
      if (row < 0) row = starts.length
      starts[row] = start
      return { ...n, start, row }
    })
})
watchEffect(() => emit('rows', Math.max(1, ...placed.value.map((n) => n.row + 1))))
</script>

<template>
  <g aria-hidden="true">
    <rect :x="left" :y="y" :width="length" height="26" class="tape" />
    <g v-for="(tick, i) in ticks" :key="i">
      <path :d="`M${tick.x} ${y}v${tick.whole ? 11 : 6}`" class="tick" />
      <text v-if="tick.label" :x="tick.x" :y="y + 22" text-anchor="middle" class="inch">{{ tick.label }}</text>
    </g>
    <g v-for="notch in placed" :key="notch.key">
      <path :d="`M${notch.x - 5} ${y - 1}h10l-5 8Z`" class="notch" />
      <path :d="`M${notch.x} ${y + 26}v${4 + notch.row * 15}`" class="lead" />
      <text :x="notch.start" :y="y + 41 + notch.row * 15">{{ notch.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.tape {
  fill: var(--foam-open);
  fill-opacity: 0.75;
  stroke: var(--ink);
}
.tick {
  stroke: var(--ink);
}
.notch {
  fill: var(--ink);
}
.lead {
  stroke: var(--field-line);
}
text {
  font: 12.5px var(--body);
  fill: var(--ink-2);
}
.inch {
  font-weight: 700;
  fill: var(--ink);
}
</style>
