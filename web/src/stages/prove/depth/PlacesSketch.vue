<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useNarrow } from '@/shared/state/narrow'
import { useReader } from '@/shared/state/reader'
import { scaleOf } from './sketchScale'

/** The surface with the places where depth is read, and between them how deep it is by the nearest. The list beside it says the same. */
const props = defineProps<{
  name: string
  sketch: Schemas['SketchAnswer']
  answer: Schemas['ProofAnswer']
  open?: number
}>()
const emit = defineEmits<{ pick: [place: number] }>()
const { t } = useI18n()
const reader = useReader()
// Marks are as large on a phone as on a desk: the drawing is made for the room there is.
const [WIDE, NARROW] = [640, 360]
const isNarrow = useNarrow()
const scale = computed(() => scaleOf(props.sketch, isNarrow.value ? NARROW : WIDE))
const places = computed(() => props.answer.places)
const read = computed(() => places.value.filter((one) => one.depth).length)
const SIZE = 11

// Under the specification it is hatched: what is thin is not told by a tone alone.
const cells = computed(() => {
  const map = props.answer.depths?.map
  if (!map) return []
  const { across, up } = scale.value
  const [width, height] = [map.cellAcrossM * across, map.cellUpM * up]
  const spec = props.answer.specified.amount * 1000
  return map.depthsMm.flatMap((mm, i) => {
    if (mm === null) return []
    const [column, row] = [i % map.columns, Math.floor(i / map.columns)]
    return [
      {
        i,
        x: scale.value.x(map.fromAcrossM + column * map.cellAcrossM),
        y: scale.value.y(map.fromUpM + (row + 1) * map.cellUpM),
        width: width + 0.4,
        height: height + 0.4,
        isThin: mm < spec - 1e-6,
        shade: Math.min(1, Math.abs(mm / spec - 1) / 0.25),
      },
    ]
  })
})
const isMapped = computed(() => cells.value.length > 0)
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${scale.width} ${scale.height}`"
      role="group"
      :aria-label="t('prove.depth.drawing', { name, read, count: places.length })"
    >
      <defs>
        <pattern id="thin" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" class="hatch" />
        </pattern>
      </defs>
      <polygon v-for="(face, i) in sketch.faces" :key="`f${i}`" :points="scale.points(face)" class="face" />
      <g v-for="cell in cells" :key="cell.i" class="cell">
        <rect
          :x="cell.x"
          :y="cell.y"
          :width="cell.width"
          :height="cell.height"
          :class="cell.isThin ? 'under' : 'over'"
          :fill-opacity="0.18 + 0.5 * cell.shade"
        />
        <rect v-if="cell.isThin" :x="cell.x" :y="cell.y" :width="cell.width" :height="cell.height" fill="url(#thin)" />
      </g>
      <polyline v-for="(member, i) in sketch.members" :key="`m${i}`" :points="scale.points(member)" class="member" />
      <polygon v-for="(opening, i) in sketch.openings" :key="`o${i}`" :points="scale.points(opening)" class="opening" />
      <polygon v-for="(face, i) in sketch.faces" :key="`e${i}`" :points="scale.points(face)" class="edge" />
      <g
        v-for="place in places"
        :key="place.number"
        class="place"
        :class="{ read: place.depth, thin: place.isThin, here: place.number === open }"
        @click="emit('pick', place.number)"
      >
        <circle :cx="scale.x(place.acrossM)" :cy="scale.y(place.upM)" :r="22" class="touch" />
        <circle :cx="scale.x(place.acrossM)" :cy="scale.y(place.upM)" :r="SIZE" class="mark" />
        <text :x="scale.x(place.acrossM)" :y="scale.y(place.upM) + 4" class="number">{{ place.number }}</text>
        <text v-if="place.depth" :x="scale.x(place.acrossM)" :y="scale.y(place.upM) + SIZE + 12" class="depth">
          {{ reader.print(place.depth) }}
        </text>
      </g>
    </svg>
    <figcaption class="small quiet">
      <template v-if="isMapped">
        <span class="key"><i class="swatch under" /> {{ t('prove.depth.under') }}</span>
        <span class="key"><i class="swatch over" /> {{ t('prove.depth.over') }}</span>
        <span class="said">{{ t('prove.depth.mapLead') }}</span>
      </template>
      <span v-if="scale.isStretched" class="said">{{ t('prove.depth.stretched') }}</span>
      <span v-if="sketch.openings.length" class="said">{{ t('prove.depth.openings') }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 12px;
}
svg {
  display: block;
  width: 100%;
  max-width: 720px;
  height: auto;
}
.face {
  fill: var(--sheet);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.member {
  fill: none;
  stroke: var(--wood);
  stroke-width: 1.5;
  opacity: 0.7;
}
.opening {
  fill: var(--daylight);
  stroke: var(--ink-2);
}
.under {
  fill: var(--hold);
}
.over {
  fill: var(--foam-closed);
}
.hatch {
  stroke: var(--hold);
  stroke-width: 2;
}
.place {
  cursor: pointer;
}
.touch {
  fill: transparent;
}
.mark {
  fill: var(--sheet);
  stroke: var(--copper);
  stroke-width: 2;
}
.read .mark {
  fill: var(--ink);
  stroke: var(--ink);
}
.thin .mark {
  fill: var(--hold);
  stroke: var(--hold);
}
.here .mark {
  stroke: var(--copper);
  stroke-width: 4;
}
.number {
  font: 650 12px var(--head);
  text-anchor: middle;
  fill: var(--ink);
}
.read .number,
.thin .number {
  fill: var(--paper);
}
.depth {
  font: 600 11px var(--body);
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3;
}
.key {
  margin-right: 12px;
}
.said {
  margin-right: 0.5em;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  vertical-align: -2px;
  border: 1px solid var(--ink-2);
}
.swatch.under {
  background: repeating-linear-gradient(45deg, var(--hold) 0 2px, transparent 2px 5px);
}
.swatch.over {
  background: var(--foam-closed);
}
</style>
