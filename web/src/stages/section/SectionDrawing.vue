<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { textureOf } from '@/shared/drawing/textures'
import { useReader } from '@/shared/state/reader'
import { alongside, filledMm, fixedMm, foamScale, type Nudge } from './scale'
import SectionLines from './SectionLines.vue'
import SectionTape from './SectionTape.vue'
import type { Beside } from './useBeside'

/** The section, drawn to scale: outside left, room right. The copper face of the foam is dragged or moved with the keys. */
const props = defineProps<{
  name: string
  question: Schemas['SectionQuestion']
  laid: Schemas['LaidSection']
  answer: Schemas['SectionAnswer'] | null
  thicknessMm: number
  thicknessText: string
  disabled: boolean
  /** Another system on the same substrate, drawn below to the same scale. */
  beside?: Beside | null
}>()
const emit = defineEmits<{ move: [mm: number]; drop: []; nudge: [direction: 1 | -1, by: Nudge] }>()
const { t } = useI18n()
const reader = useReader()

const box = ref<HTMLElement>()
const { width } = useElementSize(box)
const W = computed(() => Math.max(300, width.value || 720))
const [TOP, BOTTOM] = [34, 282]
const rows = ref(1)
// The other system stands under the first, so that the two share the tape's scale and the eye runs straight down.
const OTHER = 196
const below = computed(() => (props.beside ? OTHER : 0))
const height = computed(() => BOTTOM + 52 + rows.value * 15 + below.value)
const from = 62
const to = computed(() => W.value - 88)

const depth = computed(() => props.laid.foamDepthMm ?? 0)
// Room for a hand to go on: a third more than there is, within what the sheet rates.
const room = computed(() => {
  const further = Math.min(props.laid.thickestMm, Math.max(props.thicknessMm * 1.35, 130))
  const other = props.beside ? filledMm(props.beside.answer.laid) : 0
  return Math.max(depth.value, other, Math.max(further, props.thicknessMm) + fixedMm(props.laid))
})
const scale = computed(() => foamScale(props.laid, props.question.foamAgainst, room.value, from, to.value))
const foam = computed(() => scale.value.slabs.find((slab) => slab.part === 'moved'))
// The handle is where the hand is; the foam follows with the answer.
const faceX = computed(() => scale.value.origin + scale.value.direction * props.thicknessMm * scale.value.pxPerMm)
const left = computed(() => scale.value.slabs[0]!.x)
const right = computed(() => {
  const last = scale.value.slabs.at(-1)!
  return last.x + last.width
})
const others = computed(() => scale.value.slabs.filter((slab) => slab.part !== 'moved' && slab.part !== 'free'))
// Numbers of thin neighbours would run together: every second one of them stands higher.
const numbered = computed(() => {
  let raised = false
  return others.value.map((slab, i) => {
    const x = slab.x + slab.width / 2
    const before = others.value[i - 1]
    raised = before !== undefined && x - (before.x + before.width / 2) < 15 && !raised
    return { x, y: raised ? TOP - 13 : TOP }
  })
})
const free = computed(() => scale.value.slabs.find((slab) => slab.part === 'free'))

const member = computed(() => {
  const { members } = props.question
  if (members.material === 'none' || members.sharePct + members.spacingMm === 0 || depth.value === 0) return null
  const start =
    scale.value.direction === 1 ? scale.value.origin : scale.value.origin - depth.value * scale.value.pxPerMm
  return { x: start, width: depth.value * scale.value.pxPerMm }
})

const other = computed(() => {
  const one = props.beside
  if (!one) return null
  const slabs = alongside(scale.value, one.answer.laid)
  const last = slabs.at(-1)!
  return {
    slabs,
    left: slabs[0]!.x,
    right: last.x + last.width,
    top: height.value - OTHER + 20,
    bottom: height.value - 14,
  }
})

const beyond = computed(
  () =>
    ({
      outdoors: 'section.outside',
      ventilated: 'section.outside',
      ground: 'section.ground',
      room: 'section.otherRoom',
    })[props.question.exposure],
)

// In summer the outdoor temperature is written at the top, and the name of the side makes room for it.
const warmOutside = computed(() => {
  const all = props.answer?.profile.flatMap((p) => [p.tempC, p.dewPointC]) ?? []
  return (props.answer?.profile[0]?.tempC ?? 0) > (Math.min(...all) + Math.max(...all)) / 2
})

// The whole drawing can be grabbed beside the handle too: a gloved thumb is wide.
let grab: { x: number; mm: number } | null = null
function down(event: PointerEvent) {
  if (props.disabled) return
  grab = { x: event.clientX, mm: props.thicknessMm }
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  if (!grab) return
  emit('move', grab.mm + (scale.value.direction * (event.clientX - grab.x)) / scale.value.pxPerMm)
}
function up() {
  if (grab) emit('drop')
  grab = null
}

function key(event: KeyboardEvent) {
  const end = { Home: -1, End: 1 }[event.key] as 1 | -1 | undefined
  if (end && !props.disabled) {
    event.preventDefault()
    return emit('nudge', end, 'end')
  }
  const grow = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
  if (!grow || props.disabled) return
  event.preventDefault()
  const outward = event.key === 'ArrowLeft' || event.key === 'ArrowRight' ? scale.value.direction : 1
  emit('nudge', (grow * outward) as 1 | -1, event.shiftKey ? 'large' : 'small')
}

const drive = computed(() => {
  const pa = props.answer?.outwardDrivePa ?? 0
  return Math.abs(pa) < 5 ? null : { out: pa > 0, length: Math.min(110, 24 + Math.abs(pa) / 12) }
})
</script>

<template>
  <div ref="box" class="drawing">
    <svg
      :viewBox="`0 0 ${W} ${height}`"
      :width="W"
      :height="height"
      role="group"
      :aria-label="
        t('section.drawing', { name, outside: t(beyond), room: t('section.room'), thickness: thicknessText })
      "
    >
      <g aria-hidden="true">
        <text :x="left - 6" :y="warmOutside ? BOTTOM - 8 : 52" text-anchor="end" class="side">{{ t(beyond) }}</text>
        <text :x="right + 8" :y="BOTTOM - 8" class="side">{{ t('section.room') }}</text>
        <g v-for="slab in scale.slabs" :key="slab.id">
          <rect
            :x="slab.x"
            :y="TOP + 10"
            :width="slab.width"
            :height="BOTTOM - TOP - 10"
            :fill="textureOf(slab.key)"
            stroke="var(--field-line)"
            stroke-width="0.8"
          />
          <path
            v-if="slab.broken"
            :d="`M${slab.x + slab.width / 2 - 5} ${TOP + 10}v90l10 8l-10 8v${BOTTOM - TOP - 116}`"
            fill="none"
            stroke="var(--sheet)"
            stroke-width="4"
          />
        </g>
        <rect
          v-if="member"
          :x="member.x"
          :y="BOTTOM - 44"
          :width="member.width"
          height="44"
          :fill="['steelStud', 'girt'].includes(question.members.material) ? 'url(#tex-metal)' : 'url(#tex-wood)'"
          stroke="var(--field-line)"
          stroke-width="0.8"
        />
        <text v-for="(at, i) in numbered" :key="`n${i}`" :x="at.x" :y="at.y" text-anchor="middle" class="number">
          {{ i + 1 }}
        </text>
        <text v-if="foam" :x="foam.x + foam.width / 2" :y="TOP" text-anchor="middle" class="label">
          {{
            foam.key === 'open' || foam.key === 'closed'
              ? t(`section.foam.${foam.key}`, { thickness: thicknessText })
              : t(`material.${foam.key}`)
          }}
        </text>
        <text
          v-if="free && free.width > 84 && answer"
          :x="free.x + free.width / 2"
          :y="TOP"
          text-anchor="middle"
          class="label quiet-fill"
        >
          {{ t('section.free', { depth: reader.print(answer.figures.freeSpace?.figure) }) }}
        </text>
      </g>
      <SectionLines v-if="answer" :answer="answer" :slabs="scale.slabs" :top="TOP + 26" :bottom="BOTTOM - 60" />
      <g v-if="drive && answer" class="drive" aria-hidden="true">
        <path
          :d="
            drive.out
              ? `M${right + 8 + 52} ${BOTTOM - 34}h${-drive.length}m9 -6l-9 6l9 6`
              : `M${left - 52} ${BOTTOM - 34}h${drive.length}m-9 -6l9 6l-9 6`
          "
        />
      </g>
      <SectionTape
        :origin="scale.origin"
        :direction="scale.direction"
        :px-per-mm="scale.pxPerMm"
        :length-mm="room"
        :notches="answer?.notches ?? []"
        :y="BOTTOM + 18"
        :min-x="4"
        :max-x="W - 4"
        @rows="rows = $event"
      />
      <g v-if="other && beside" aria-hidden="true">
        <text :x="other.left" :y="other.top - 8" class="label">{{ beside.name }}</text>
        <rect
          v-for="slab in other.slabs"
          :key="slab.id"
          :x="slab.x"
          :y="other.top"
          :width="slab.width"
          :height="other.bottom - other.top"
          :fill="textureOf(slab.key)"
          stroke="var(--field-line)"
          stroke-width="0.8"
        />
        <SectionLines :answer="beside.answer" :slabs="other.slabs" :top="other.top + 16" :bottom="other.bottom - 16" />
      </g>
      <g
        class="face"
        :class="{ disabled }"
        tabindex="0"
        role="slider"
        :aria-label="t('section.face')"
        :aria-valuenow="Math.round(thicknessMm * 10) / 10"
        :aria-valuemin="0"
        :aria-valuemax="Math.round(laid.thickestMm)"
        :aria-valuetext="thicknessText"
        :aria-disabled="disabled"
        @pointerdown="down"
        @pointermove="drag"
        @pointerup="up"
        @pointercancel="up"
        @keydown="key"
      >
        <rect :x="faceX - 24" :y="TOP + 4" width="48" :height="BOTTOM - TOP + 20" fill="transparent" />
        <path :d="`M${faceX} ${TOP + 4}V${BOTTOM + 18}`" />
        <rect :x="faceX - 10" y="118" width="20" height="60" rx="10" />
        <path :d="`M${faceX - 2} 142l-4 6l4 6M${faceX + 2} 142l4 6l-4 6`" class="arrows" />
      </g>
    </svg>
    <ol class="legend small quiet" :aria-label="t('section.layersLabel')">
      <li v-for="(slab, i) in others" :key="slab.id">
        <b>{{ i + 1 }}</b> {{ t(`material.${slab.key}`) }}
      </li>
      <li v-if="member">
        {{ t(`section.members.${question.members.material}`, { share: Math.round(question.members.sharePct) }) }}
      </li>
      <li v-if="answer" class="vapour">
        {{
          drive
            ? t(drive.out ? 'section.vapourOut' : 'section.vapourIn', {
                drive: reader.print(answer.figures.drive?.figure).replace('-', ''),
              })
            : t('section.vapourNone')
        }}
      </li>
    </ol>
  </div>
</template>

<style scoped>
.drawing {
  width: 100%;
}
svg {
  display: block;
}
text {
  font: var(--text-s) var(--body);
  fill: var(--ink-2);
}
.label {
  font: 650 14px var(--body);
  fill: var(--ink);
}
.quiet-fill {
  fill: var(--ink-2);
}
.face {
  cursor: ew-resize;
  touch-action: none;
  outline-offset: 4px;
}
.face.disabled {
  cursor: default;
}
.face path {
  stroke: var(--copper);
  stroke-width: 3;
}
.face rect[rx] {
  fill: var(--copper);
}
.face .arrows {
  stroke: var(--copper-ink);
  stroke-width: 2;
  fill: none;
}
.drive path {
  fill: none;
  stroke: var(--clear);
  stroke-width: 2.5;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  list-style: none;
  margin: 0;
  padding: 0;
}
.legend b {
  color: var(--ink);
}
.vapour {
  color: var(--clear);
}
</style>
