<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { linedThrough, type DrawnLayer } from './scale'

/** Temperature and dew point through the section at design. Where the dew line lies above the temperature, vapour would condense. */
const props = defineProps<{
  answer: Schemas['SectionAnswer']
  slabs: readonly DrawnLayer[]
  top: number
  bottom: number
}>()
const { t } = useI18n()
const reader = useReader()

const FILM = 34
const through = computed(() => linedThrough(props.slabs))

// Clear of the handle, where the face of the foam is the last there is.
const HANDLE = 14
const gap = computed(() => {
  const { slabs } = through.value
  const beside = (slab: DrawnLayer, usual: number) => (slab.part === 'moved' ? HANDLE : usual)
  return { left: beside(slabs[0]!, 6), right: beside(slabs.at(-1)!, 8) }
})

// Depths of the profile are true millimetres; the drawing breaks thick layers and holds thin ones, so depth maps slab by slab.
function xOf(depthMm: number): number {
  let before = 0
  for (const slab of through.value.slabs) {
    const after = before + slab.thicknessMm
    if (depthMm <= after + 1e-6) {
      return slab.x + (slab.thicknessMm > 0 ? ((depthMm - before) / slab.thicknessMm) * slab.width : 0)
    }
    before = after
  }
  return through.value.right
}

const range = computed(() => {
  const all = props.answer.profile.flatMap((p) => [p.tempC, p.dewPointC])
  const [low, high] = [Math.min(...all), Math.max(...all)]
  return { low, span: Math.max(4, high - low) }
})
const yOf = (c: number) => props.bottom - ((c - range.value.low) / range.value.span) * (props.bottom - props.top)

function line(pick: (p: Schemas['ProfilePointAnswer']) => number) {
  const points = props.answer.profile
  const inner = points
    .slice(1)
    .filter((p) => p.key !== 'insideFilm')
    .map((p) => `L${xOf(p.depthMm).toFixed(1)} ${yOf(pick(p)).toFixed(1)}`)
    .join('')
  const [first, last] = [points[0]!, points.at(-1)!]
  return `M${through.value.left - FILM} ${yOf(pick(first))}${inner}L${through.value.right + FILM} ${yOf(pick(last))}`
}

const temperature = computed(() => line((p) => p.tempC))
const dew = computed(() => line((p) => p.dewPointC))
const ends = computed(() => ({
  out: yOf(props.answer.profile[0]!.tempC),
  in: yOf(props.answer.profile.at(-1)!.tempC),
  dew: yOf(props.answer.profile.at(-1)!.dewPointC),
}))
</script>

<template>
  <g class="lines" aria-hidden="true">
    <path :d="temperature" class="halo" />
    <path :d="dew" class="halo" />
    <path :d="dew" class="dew" />
    <path :d="temperature" class="temperature" />
    <text :x="through.left - gap.left" :y="ends.out - 8" text-anchor="end">{{
      reader.print(answer.figures.outdoorC?.figure)
    }}</text>
    <text :x="through.right + gap.right" :y="ends.in - 8">{{ reader.print(answer.figures.indoorC?.figure) }}</text>
    <text :x="through.right + gap.right" :y="ends.dew + 18" class="dew-text">
      {{ t('section.dew', { temp: reader.print(answer.figures.indoorDew?.figure) }) }}
    </text>
  </g>
</template>

<style scoped>
path {
  fill: none;
}
.halo {
  stroke: var(--sheet);
  stroke-opacity: 0.55;
  stroke-width: 6;
}
.temperature {
  stroke: var(--ink);
  stroke-width: 2.6;
}
.dew {
  stroke: var(--clear);
  stroke-width: 2.4;
  stroke-dasharray: 7 5;
}
text {
  font: 650 var(--text-s) var(--body);
  fill: var(--ink);
}
.dew-text {
  fill: var(--clear);
}
</style>
