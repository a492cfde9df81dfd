<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useReader } from '@/shared/state/reader'
import { CURVE, dotsOf } from './curve'
import type { SheetCurve } from './sheets'

/** A curve of a sheet: its points, straight between them, and nothing before the first or past the last. */
const props = defineProps<{ curve: SheetCurve }>()
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const dots = computed(() => dotsOf(props.curve))
const path = computed(() => dots.value.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''))
const label = computed(() =>
  t('sheets.curve.label', {
    name: t(`sheets.line.${props.curve.path}`),
    points: listed(
      props.curve.points.map(({ x, y }) => t('sheets.curve.point', { x: reader.print(x), y: reader.print(y) })),
      'apart',
    ),
  }),
)
const floor = CURVE.height - CURVE.bottom
</script>

<template>
  <svg v-if="dots.length" :viewBox="`0 0 ${CURVE.width} ${CURVE.height}`" role="img" :aria-label="label">
    <line class="axis" :x1="CURVE.left" :x2="CURVE.width - CURVE.right" :y1="floor" :y2="floor" />
    <path :d="path" />
    <template v-for="(dot, i) in dots" :key="i">
      <line class="drop" :x1="dot.x" :x2="dot.x" :y1="dot.y" :y2="floor" />
      <rect :x="dot.x - 4" :y="dot.y - 4" width="8" height="8" />
      <template v-if="dot.isLabelled">
        <text :x="dot.x" :y="dot.y - 9" text-anchor="middle">{{ reader.print(curve.points[i]!.y) }}</text>
        <text class="along" :x="dot.x" :y="CURVE.height - 10" text-anchor="middle">
          {{ reader.print(curve.points[i]!.x) }}
        </text>
      </template>
    </template>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 420px;
}
path {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2.4;
}
rect {
  fill: var(--sheet);
  stroke: var(--copper);
  stroke-width: 2;
}
.axis {
  stroke: var(--field-line);
}
.drop {
  stroke: var(--line);
}
text {
  font: 12px var(--body);
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4px;
  paint-order: stroke;
}
.along {
  fill: var(--ink-2);
}
</style>
