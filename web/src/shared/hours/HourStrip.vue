<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useClock } from '../state/clock'
import { useTimes } from '../state/times'
import { useHourWords, type Hours } from './useHours'

/**
 * Hours in a row: daylight below, shadow hanging from the top edge as deep as the hour falls short. Light all the way up is
 * Clear, half is Care, dark is Hold; grey lips where the runs of the forecast disagree. An hour is looked at by pointing, tapping or the
 * arrow keys; nothing is asked of the server for it.
 */
const props = defineProps<{ job: string; hours: Hours; count: number; tall?: boolean }>()
const at = defineModel<number>('at', { required: true })
const { t } = useI18n()
const now = useClock()
const times = useTimes(() => props.job)
const words = useHourWords(
  () => props.job,
  () => props.hours,
)
const HOUR = 3_600_000
const strip = ref<SVGElement>()

const shown = computed(() => props.hours.hours.slice(0, props.count))
const toldAt = computed(() => {
  const hour = shown.value[at.value]
  return hour ? words.told(hour) : ''
})
const first = computed(() => Date.parse(shown.value[0]!.start))
const place = (instant: string | Date) => (new Date(instant).getTime() - first.value) / HOUR
const nowAt = computed(() => Math.max(0, place(now.value)))
const rings = computed(() =>
  props.hours.windows
    .map((one) => ({ from: Math.max(0, place(one.from)), to: Math.min(shown.value.length, place(one.until)) }))
    .filter((one) => one.from < shown.value.length),
)

// A label at every day's first hour, and where there is room at the quarters of the day.
const ticks = computed(() =>
  shown.value.flatMap((hour, i) => {
    const of = new Date(times.wallMs(Date.parse(hour.start))).getUTCHours()
    if (of === 0) return [{ i, day: true, text: times.weekday(hour.start) }]
    return props.count <= 72 && of % 6 === 0 ? [{ i, day: false, text: times.clock(hour.start) }] : []
  }),
)

function move(by: number) {
  at.value = Math.min(shown.value.length - 1, Math.max(0, at.value + by))
}

function key(event: KeyboardEvent) {
  const by = {
    ArrowLeft: -1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowUp: 1,
    PageDown: -24,
    PageUp: 24,
    Home: -Infinity,
    End: Infinity,
  }[event.key]
  if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  move(Number.isFinite(by) ? by : by < 0 ? -shown.value.length : shown.value.length)
}

function point(event: PointerEvent) {
  const box = strip.value!.getBoundingClientRect()
  const share = (event.clientX - box.left) / box.width
  at.value = Math.min(shown.value.length - 1, Math.max(0, Math.floor(share * shown.value.length)))
}
</script>

<template>
  <div class="strip" :class="{ tall }">
    <svg
      ref="strip"
      tabindex="0"
      role="slider"
      :aria-label="t('hours.title')"
      aria-orientation="horizontal"
      aria-valuemin="0"
      :aria-valuemax="shown.length - 1"
      :aria-valuenow="at"
      :aria-valuetext="toldAt"
      :viewBox="`0 0 ${shown.length} 100`"
      preserveAspectRatio="none"
      @keydown="key"
      @pointermove="point"
      @pointerdown="point"
    >
      <defs>
        <pattern id="untold" width="0.5" height="8" patternUnits="userSpaceOnUse">
          <rect width="0.5" height="8" class="dark" />
          <rect x="0.2" y="3" width="0.12" height="2" class="dot" />
        </pattern>
      </defs>
      <rect class="day" x="0" y="0" :width="shown.length" height="100" />
      <g v-for="(hour, i) in shown" :key="hour.start">
        <rect v-if="!hour.verdict" :x="i" y="0" width="1" height="100" fill="url(#untold)" />
        <template v-else>
          <rect class="lip" :x="i" y="0" width="1.01" :height="Math.max(hour.shortfall[2]!, hour.depth) * 100" />
          <rect class="dark" :x="i" y="0" width="1.01" :height="hour.depth * 100" />
          <rect
            v-if="hour.shortfall[0]! < hour.depth"
            class="spread"
            :x="i"
            :y="hour.shortfall[0]! * 100"
            width="1.01"
            :height="(hour.depth - hour.shortfall[0]!) * 100"
          />
        </template>
      </g>
      <line
        v-for="tick in ticks"
        :key="tick.i"
        class="tick"
        :class="{ midnight: tick.day }"
        :x1="tick.i"
        :x2="tick.i"
        y1="0"
        y2="100"
        vector-effect="non-scaling-stroke"
      />
      <rect
        v-for="ring in rings"
        :key="ring.from"
        class="ring"
        :x="ring.from"
        y="0"
        :width="ring.to - ring.from"
        height="100"
        vector-effect="non-scaling-stroke"
      />
      <rect class="at" :x="at" y="0" width="1" height="100" vector-effect="non-scaling-stroke" />
      <line class="now" :x1="nowAt" :x2="nowAt" y1="0" y2="100" vector-effect="non-scaling-stroke" />
    </svg>
    <div class="lanes" aria-hidden="true">
      <span
        v-for="(hour, i) in shown"
        :key="hour.start"
        :class="{ light: hour.light, worked: hour.worked, first: i === 0 }"
      />
    </div>
    <div class="labels" aria-hidden="true">
      <span
        v-for="tick in ticks"
        :key="tick.i"
        :class="{ day: tick.day }"
        :style="{ left: `${(100 * tick.i) / shown.length}%` }"
        >{{ tick.text }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.strip {
  min-width: 0;
}
svg {
  display: block;
  width: 100%;
  height: 44px;
  cursor: crosshair;
  touch-action: pan-y;
}
.tall svg {
  height: 110px;
}
.day {
  fill: var(--daylight);
}
.dark {
  fill: var(--shadow);
}
.lip {
  fill: var(--shadow);
  opacity: 0.35;
}
.spread {
  fill: var(--daylight);
  opacity: 0.28;
}
.dot {
  fill: #ffffff88;
}
.tick {
  stroke: #ffffff40;
}
.tick.midnight {
  stroke: var(--ink-2);
  stroke-width: 1.5;
}
.ring {
  fill: none;
  stroke: var(--clear);
  stroke-width: 3;
}
.at {
  fill: #ffffff2e;
  stroke: var(--copper);
  stroke-width: 2;
}
.now {
  stroke: var(--copper);
  stroke-width: 3;
}
.lanes {
  display: flex;
  height: 8px;
  border-bottom: 1px solid var(--line);
}
.lanes span {
  flex: 1;
  border-top: 4px solid transparent;
  border-bottom: 4px solid transparent;
}
.lanes .light {
  border-top-color: var(--foam-closed);
}
.lanes .worked {
  border-bottom-color: var(--ink-2);
}
.labels {
  position: relative;
  height: 18px;
  overflow: hidden;
}
.labels span {
  position: absolute;
  padding-left: 2px;
  font-size: var(--text-s);
  color: var(--ink-2);
  white-space: nowrap;
}
.labels .day {
  font-weight: 700;
  color: var(--ink);
}
@media (max-width: 600px) {
  .labels span:not(.day) {
    display: none;
  }
}
</style>
