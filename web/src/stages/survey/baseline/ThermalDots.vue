<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { gradient, paint } from './thermal'

/** A thermal picture in our own scale. A spot is read where it is tapped, or where the arrow keys have led and Enter is pressed. */
const props = defineProps<{ picture: Schemas['ThermalAnswer']; locked: boolean }>()
const emit = defineEmits<{ read: [row: number, column: number] }>()
const { t } = useI18n()
const reader = useReader()
const canvas = ref<HTMLCanvasElement>()

const path = () => ({ params: { path: { id: props.picture.id } } })
const dots = useQuery({
  queryKey: ['dots', props.picture.id],
  queryFn: () => ask(api.GET('/api/thermal/{id}/dots', path())),
  staleTime: Infinity,
})
watch(
  () => dots.data.value,
  async (grid) => {
    await nextTick()
    const surface = canvas.value?.getContext('2d')
    if (!grid || !surface) return
    surface.putImageData(new ImageData(paint(grid.tempsC), grid.columns, grid.rows), 0, 0)
  },
  { immediate: true },
)

const placeOf = (row: number, column: number) => ({
  left: `${((column + 0.5) / props.picture.columns) * 100}%`,
  top: `${((row + 0.5) / props.picture.rows) * 100}%`,
})

function tapped(event: MouseEvent) {
  if (props.locked) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const share = (at: number, from: number, size: number, count: number) =>
    Math.min(count - 1, Math.floor(((at - from) / size) * count))
  emit(
    'read',
    share(event.clientY, box.top, box.height, props.picture.rows),
    share(event.clientX, box.left, box.width, props.picture.columns),
  )
}

// By keys: from the middle, in steps of a fiftieth of the picture, with Shift of a tenth.
const aim = ref<{ row: number; column: number } | null>(null)
const WAYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}
const within = (at: number, count: number) => Math.min(count - 1, Math.max(0, at))
const middle = () => ({ row: Math.floor(props.picture.rows / 2), column: Math.floor(props.picture.columns / 2) })

function keyed(event: KeyboardEvent) {
  if (props.locked) return
  const way = WAYS[event.key]
  const from = aim.value ?? middle()
  if (way) {
    const step = (count: number) => Math.max(1, Math.round(count / (event.shiftKey ? 10 : 50)))
    aim.value = {
      row: within(from.row + way[0] * step(props.picture.rows), props.picture.rows),
      column: within(from.column + way[1] * step(props.picture.columns), props.picture.columns),
    }
  } else if (event.key === 'Enter') emit('read', from.row, from.column)
  else return
  event.preventDefault()
}

const where = computed(() =>
  aim.value
    ? t('survey.thermal.aim', {
        across: Math.round((100 * aim.value.column) / Math.max(1, props.picture.columns - 1)),
        down: Math.round((100 * aim.value.row) / Math.max(1, props.picture.rows - 1)),
      })
    : '',
)
</script>

<template>
  <div>
    <div v-if="dots.data.value" class="picture">
      <div
        class="dots"
        role="application"
        :tabindex="locked ? -1 : 0"
        :aria-label="t('survey.thermal.keys', { name: picture.name })"
        :style="{ aspectRatio: `${dots.data.value.columns} / ${dots.data.value.rows}` }"
        @click="tapped"
        @keydown="keyed"
        @focus="aim ??= middle()"
        @blur="aim = null"
      >
        <canvas
          ref="canvas"
          :width="dots.data.value.columns"
          :height="dots.data.value.rows"
          role="img"
          :aria-label="
            t('survey.thermal.label', {
              coldest: reader.print(picture.coldest),
              warmest: reader.print(picture.warmest),
            })
          "
        />
        <i v-for="(spot, i) in picture.spots" :key="i" :style="placeOf(spot.row, spot.column)">{{ i + 1 }}</i>
        <b v-if="aim && !locked" class="aim" aria-hidden="true" :style="placeOf(aim.row, aim.column)" />
        <span class="visually-hidden" aria-live="polite">{{ where }}</span>
      </div>
      <div class="scale" :style="{ background: gradient }" aria-hidden="true" />
      <ol class="marks small" aria-hidden="true">
        <li v-for="(mark, i) in [...dots.data.value.scale].reverse()" :key="i">{{ reader.print(mark) }}</li>
      </ol>
    </div>
    <ElSkeleton v-else :rows="4" animated />
    <p v-if="!locked" class="small quiet no-print">{{ t('survey.thermal.tap') }}</p>
  </div>
</template>

<style scoped>
.picture {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 14px auto;
  gap: 8px;
}
.dots {
  position: relative;
  cursor: crosshair;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
  border-radius: 3px;
}
.dots i {
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -11px 0 0 -11px;
  border: 2px solid #fff;
  outline: 1px solid #221b33;
  border-radius: 50%;
  font: 650 12px/18px var(--body);
  text-align: center;
  color: #fff;
  background: rgb(34 27 51 / 60%);
}
.aim {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px 0 0 -13px;
  background:
    linear-gradient(#221b33, #221b33) 50% / 2px 100% no-repeat,
    linear-gradient(#221b33, #221b33) 50% / 100% 2px no-repeat;
  border: 2px solid #fff;
  outline: 1px solid #221b33;
}
.scale {
  border-radius: 3px;
}
.marks {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  white-space: nowrap;
}
p {
  margin-top: 6px;
}
</style>
