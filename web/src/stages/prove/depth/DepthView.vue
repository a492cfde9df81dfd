<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import DepthPad from '@/shared/depth/DepthPad.vue'
import { useBoard } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import ProveFrame from '../ProveFrame.vue'
import { useProof } from '../useProof'
import DepthFigures from './DepthFigures.vue'
import FreeReadings from './FreeReadings.vue'
import PlacesSketch from './PlacesSketch.vue'
import ProbeCheck from './ProbeCheck.vue'

/** Is it thick enough? Places are read by number; what is read counts as soon as it is entered. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const reader = useReader()
const board = useBoard(() => props.job)
const proof = useProof(
  () => props.job,
  () => props.surface,
)
const { answer, locked } = proof
const name = computed(() => board.data.value?.rows.find((one) => one.id === props.surface)?.name ?? '')
const sketch = computed(() => proof.told.data.value?.question?.sketch)
const open = ref<number>()
const again = ref<string>()
const place = computed(() => answer.value?.places.find((one) => one.number === open.value))

// The pad begins at what was read there, else at what was specified.
const from = computed(() => (place.value?.depth ?? answer.value?.specified)?.amount ?? 0.05)
const padded = computed(() =>
  place.value
    ? t('prove.depth.place', { number: place.value.number, kind: t(`prove.placeKind.${place.value.kind}`) })
    : '',
)

function pick(number: number) {
  if (locked.value) return
  again.value = undefined
  open.value = number
}

function readAgain(id: string) {
  open.value = undefined
  again.value = id
}

async function read(depth: string) {
  const at = place.value
  const spot: Record<string, string> | undefined = at && {
    spot: `${at.number}`,
    spotKind: at.kind,
    spotX: `${at.acrossM}`,
    spotY: `${at.upM}`,
  }
  const fields: Record<string, string> = spot ?? (again.value ? { again: again.value } : {})
  const number = open.value
  open.value = undefined
  again.value = undefined
  void proof.say({ kind: 'depth', depth, ...fields })
  await nextTick()
  document.querySelector<HTMLElement>(number ? `[data-place="${number}"]` : '[data-free]')?.focus()
}

function close() {
  open.value = undefined
  again.value = undefined
}

// What was read a moment ago is shown at once; what it comes to follows when the server has it.
const waits = (number: number) => proof.waitsFor('depth', 'spot', `${number}`)?.depth?.text

const line = (one: Schemas['DepthPlaceAnswer']) =>
  waits(one.number)
    ? t('spray.log.waits')
    : one.isThin && one.lacks
      ? t('prove.depth.thin', { lacks: reader.print(one.lacks) })
      : one.depth
        ? ''
        : t('prove.depth.unread')

function redraw() {
  void proof.say({ kind: 'placesDrawn', draw: `${(answer.value?.seed ?? 0) + 1}` })
}
</script>

<template>
  <ProveFrame :job="job" :surface="surface" route="prove" :proof="proof" :findings="answer?.depthFindings">
    <template v-if="answer">
      <h2>{{ t('prove.depth.plan') }}</h2>
      <p class="small">{{ t('prove.depth.lead') }}</p>
      <p v-if="answer.isSprayed && !answer.isWhole" class="note">{{ t('prove.depth.growing') }}</p>
      <PlacesSketch v-if="sketch" :name="name" :sketch="sketch" :answer="answer" :open="open" @pick="pick" />
      <DepthPad
        v-if="(place || again) && !locked"
        :key="`${open}.${again}.${reader.units}`"
        :from="from * 1000"
        :needs="reader.print(answer.specified)"
        :title="padded || t('prove.depth.free')"
        placed
        @read="read"
        @cancel="close"
      />
      <ul class="places">
        <li v-for="one in answer.places" :key="one.number">
          <button
            type="button"
            class="row"
            :data-place="one.number"
            :disabled="locked"
            :aria-expanded="one.number === open"
            @click="pick(one.number)"
          >
            <b>{{ one.number }}</b>
            <span>{{ t(`prove.placeKind.${one.kind}`) }}</span>
            <span class="depth">{{ waits(one.number) ?? reader.print(one.depth) }}</span>
            <span class="small" :class="{ thin: one.isThin }">{{ line(one) }}</span>
          </button>
        </li>
      </ul>
      <FreeReadings
        v-if="answer.free.length"
        :readings="answer.free"
        :time-zone="proof.told.data.value?.timeZone"
        :locked="locked"
        @again="readAgain"
      />
      <DepthFigures v-if="answer.depths" :depths="answer.depths" :specified="answer.specified" />
      <ProbeCheck v-if="!locked" :job="job" :surface="surface" :place="proof.place" />
      <p v-if="!locked && sketch">
        <ElButton link type="primary" @click="redraw">{{ t('prove.depth.redraw') }}</ElButton>
        <span class="small quiet redrawn">{{ t('prove.depth.redrawn') }}</span>
      </p>
    </template>
  </ProveFrame>
</template>

<style scoped>
.places {
  list-style: none;
  margin: 0 0 16px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 0 18px;
}
.row {
  display: grid;
  grid-template-columns: 28px minmax(90px, auto) auto 1fr;
  align-items: baseline;
  gap: 10px;
  width: 100%;
  min-height: 48px;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.row:focus-visible {
  outline: 3px solid var(--copper);
  outline-offset: -3px;
}
.row b,
.depth {
  font: 650 1.05rem var(--head);
  font-variant-numeric: tabular-nums;
}
.note {
  border-left: 5px solid var(--care);
  padding-left: 12px;
}
.redrawn {
  margin-left: 10px;
}
.thin {
  color: var(--hold);
  font-weight: 600;
}
</style>
