<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'

/** A joint as a small section: the two parts that meet, foam on each, and a line for every control layer, broken where nobody takes it on. */
const props = defineProps<{ kind: Schemas['JointKind']; layers?: Record<Layer, Schemas['Handover']>; width?: number }>()
type Layer = 'water' | 'air' | 'vapour' | 'heat'

interface Parts {
  solid: string[]
  foam: string[]
  /** The way a control layer runs, from one side of the joint to the other. */
  run: string
}

const ground = 'M2 58 h92 v10 h-92 z'
const wall = 'M30 4 h12 v54 h-12 z'
const wallFoam = 'M42 4 h10 v54 h-10 z'
const sloped = 'M6 44 L78 4 L84 12 L12 52 z'
const book: Record<Schemas['JointKind'], Parts> = {
  outsideToInside: {
    solid: ['M40 2 h10 v66 h-10 z'],
    foam: ['M28 2 h12 v34 h-12 z', 'M50 32 h12 v36 h-12 z'],
    run: 'M34 4 V36 L56 36 V66',
  },
  wallToGroundSheet: {
    solid: ['M30 4 h14 v54 h-14 z', ground],
    foam: ['M44 4 h10 v50 h-10 z', 'M44 52 h48 v4 h-48 z'],
    run: 'M49 6 V54 H90',
  },
  plateToSlab: { solid: [wall, 'M28 52 h20 v6 h-20 z', ground], foam: [wallFoam], run: 'M47 6 V55 H90' },
  membraneToBlocking: {
    solid: ['M30 14 h12 v54 h-12 z', 'M42 30 h50 v6 h-50 z', 'M42 18 h10 v12 h-10 z'],
    foam: ['M52 20 h40 v10 h-40 z'],
    run: 'M36 8 V16 L52 22 H90',
  },
  deckToGable: {
    solid: ['M44 10 h10 v58 h-10 z', 'M6 2 h84 v8 h-84 z'],
    foam: ['M54 10 h36 v10 h-36 z', 'M54 20 h10 v48 h-10 z'],
    run: 'M88 15 H59 V66',
  },
  stopAtSoffit: {
    solid: [sloped, 'M8 54 h26 v4 h-26 z', 'M34 40 h10 v28 h-10 z'],
    foam: ['M36 44 L78 20 L82 28 L44 50 z'],
    run: 'M80 24 L39 48 V66',
  },
  deckToWall: {
    solid: [sloped, 'M30 42 h12 v26 h-12 z'],
    foam: ['M42 38 L80 16 L84 24 L42 48 z', 'M42 46 h10 v22 h-10 z'],
    run: 'M82 20 L47 42 V66',
  },
  bandToWall: {
    solid: [
      'M30 2 h12 v20 h-12 z',
      'M30 22 h6 v22 h-6 z',
      'M36 22 h56 v5 h-56 z',
      'M36 39 h56 v5 h-56 z',
      'M30 44 h14 v24 h-14 z',
    ],
    foam: ['M36 27 h12 v12 h-12 z', 'M44 44 h10 v24 h-10 z'],
    run: 'M40 4 V24 L42 33 L49 46 V66',
  },
  floorToWall: {
    solid: ['M30 2 h12 v66 h-12 z', 'M42 24 h50 v6 h-50 z'],
    foam: ['M42 30 h50 v14 h-50 z'],
    run: 'M36 4 V28 L46 37 H90',
  },
  doorToWall: {
    solid: ['M4 28 h38 v12 h-38 z', 'M42 26 h8 v20 h-8 z', 'M50 30 h42 v5 h-42 z'],
    foam: ['M4 40 h38 v10 h-38 z', 'M50 35 h42 v7 h-42 z'],
    run: 'M6 45 H46 L56 38 H90',
  },
}
const parts = computed(() => book[props.kind])
const order: readonly Layer[] = ['water', 'air', 'vapour', 'heat']
const lines = computed(() =>
  props.layers
    ? order
        .filter((layer) => props.layers![layer] !== 'notNeeded')
        .map((layer) => ({ layer, open: props.layers![layer] === 'open', shift: order.indexOf(layer) * 2.4 - 3.6 }))
    : [],
)
</script>

<template>
  <svg viewBox="0 0 96 70" :width="width ?? 92" :height="((width ?? 92) * 70) / 96" aria-hidden="true">
    <path
      v-for="d in parts.solid"
      :key="d"
      :d="d"
      fill="var(--wood)"
      stroke="var(--tex-line)"
      stroke-opacity=".5"
      stroke-width=".8"
    />
    <path
      v-for="d in parts.foam"
      :key="d"
      :d="d"
      fill="var(--foam-closed)"
      stroke="var(--tex-line)"
      stroke-opacity=".5"
      stroke-width=".8"
    />
    <path
      v-for="line in lines"
      :key="line.layer"
      :d="parts.run"
      :transform="`translate(${line.shift} ${line.shift})`"
      fill="none"
      :stroke="line.open ? 'var(--hold)' : 'var(--clear)'"
      stroke-width="1.7"
      :stroke-dasharray="line.open ? '3 5' : undefined"
    />
  </svg>
</template>
