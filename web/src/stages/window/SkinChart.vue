<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import type { Hour } from '@/shared/hours/useHours'

/** Substrate and dew point through the hours, with where eight runs in ten lie; the hours in the table hold the same figures. */
const props = defineProps<{ hours: Hour[] }>()
const { t } = useI18n()
const reader = useReader()
const told = computed(() =>
  props.hours.map((hour, i) => ({ hour, i })).filter(({ hour }) => hour.substrateC.length > 0),
)
const range = computed(() => {
  const all = told.value.flatMap(({ hour }) => [...hour.substrateC, ...hour.dewC])
  return { least: Math.min(...all), most: Math.max(...all) }
})
const y = (celsius: number) =>
  100 - (100 * (celsius - range.value.least)) / Math.max(1, range.value.most - range.value.least)
const line = (of: (hour: Hour) => number) =>
  told.value.map(({ hour, i }) => `${i + 0.5},${y(of(hour)).toFixed(2)}`).join(' ')
const area = (of: (hour: Hour) => number[]) =>
  [
    ...told.value.map(({ hour, i }) => `${i + 0.5},${y(of(hour)[2]!).toFixed(2)}`),
    ...told.value.toReversed().map(({ hour, i }) => `${i + 0.5},${y(of(hour)[0]!).toFixed(2)}`),
  ].join(' ')

// The warmest and the coldest median, as they are read.
const edges = computed(() => {
  const sorted = [...told.value].sort((a, b) => a.hour.substrateC[1]! - b.hour.substrateC[1]!)
  return [sorted.at(-1), sorted[0]].map(
    (one) => one && { at: y(one.hour.substrateC[1]!), figure: one.hour.figures.substrate },
  )
})
</script>

<template>
  <figure v-if="told.length" class="chart">
    <svg :viewBox="`0 0 ${hours.length} 100`" preserveAspectRatio="none" role="img" :aria-label="t('hours.chart')">
      <polygon class="band" :points="area((hour) => hour.substrateC)" />
      <polygon class="band of-dew" :points="area((hour) => hour.dewC)" />
      <polyline class="substrate" :points="line((hour) => hour.substrateC[1]!)" vector-effect="non-scaling-stroke" />
      <polyline class="dew" :points="line((hour) => hour.dewC[1]!)" vector-effect="non-scaling-stroke" />
    </svg>
    <span
      v-for="(edge, i) in edges"
      :key="i"
      class="edge small quiet"
      :style="{ top: `${Math.min(62, Math.max(0, (edge?.at ?? 0) - 8))}%` }"
      >{{ reader.print(edge?.figure) }}</span
    >
    <figcaption class="small quiet">
      <span class="key substrate-key" /> {{ t('hours.substrate') }} <span class="key dew-key" /> {{ t('hours.dew') }} ·
      {{ t('hours.spread') }}
    </figcaption>
  </figure>
</template>

<style scoped>
.chart {
  position: relative;
  margin: 6px 0 0;
}
svg {
  display: block;
  width: 100%;
  height: 110px;
  border-bottom: 1px solid var(--line);
}
.band {
  fill: var(--ink);
  opacity: 0.13;
}
.of-dew {
  fill: var(--clear);
}
.substrate {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
}
.dew {
  fill: none;
  stroke: var(--clear);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.edge {
  position: absolute;
  left: 4px;
  background: color-mix(in srgb, var(--paper) 75%, transparent);
  pointer-events: none;
}
.key {
  display: inline-block;
  width: 22px;
  border-top: 3px solid var(--ink);
  vertical-align: middle;
}
.dew-key {
  border-top: 3px dashed var(--clear);
  margin-left: 12px;
}
</style>
