<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** What was thought of a crew before any job, what its jobs say, and what stands after both, on one axis of yield against the sheet. */
const props = defineProps<{ crew: Schemas['CrewYieldAnswer'] }>()
const { t } = useI18n()
const reader = useReader()

const [W, H, FROM, TO] = [240, 64, -0.3, 0.3]
const x = (log: number) => ((log - FROM) / (TO - FROM)) * W
const STEPS = 60
function bell(mean: number, sd: number, height: number) {
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const log = FROM + ((TO - FROM) * i) / STEPS
    const y = H - 14 - height * Math.exp(-((log - mean) ** 2) / (2 * sd * sd))
    return `${x(log).toFixed(1)} ${y.toFixed(1)}`
  })
  return `M${points.join('L')}`
}
const paths = computed(() => ({
  prior: bell(0, props.crew.priorSd, 18),
  data: props.crew.dataMean != null ? bell(props.crew.dataMean, props.crew.dataSd ?? 0.05, 30) : null,
  posterior: bell(props.crew.logMean, props.crew.logSd, 44),
}))
const label = computed(() =>
  t('past.curve', {
    factor: reader.print(props.crew.factor.figure),
    low: reader.print(props.crew.low),
    high: reader.print(props.crew.high),
  }),
)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="label">
    <line :x1="x(0)" :x2="x(0)" y1="2" :y2="H - 14" class="one" />
    <path :d="paths.prior" class="prior" />
    <path v-if="paths.data" :d="paths.data" class="data" />
    <path :d="paths.posterior" class="posterior" />
    <line x1="0" :x2="W" :y1="H - 14" :y2="H - 14" class="axis" />
    <text v-for="at in [0.8, 0.9, 1, 1.1, 1.25]" :key="at" :x="x(Math.log(at))" :y="H - 2" text-anchor="middle">
      {{ at }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 300px;
}
path {
  fill: none;
  stroke-width: 2;
}
.prior {
  stroke: var(--ink-2);
  stroke-dasharray: 2 4;
}
.data {
  stroke: var(--field-line);
  stroke-dasharray: 7 4;
}
.posterior {
  stroke: var(--copper);
  stroke-width: 2.6;
}
.one {
  stroke: var(--line);
}
.axis {
  stroke: var(--field-line);
}
text {
  font: 10px var(--body);
  fill: var(--ink-2);
}
</style>
