<script setup lang="ts">
import { computed } from 'vue'
import { textureOf } from './textures'
import { layOut, type Slab } from './widths'

/** A small section drawn to scale: a surface at a glance. */
const props = defineProps<{ layers: readonly Slab[]; width?: number; height?: number }>()
const w = computed(() => props.width ?? 66)
const h = computed(() => props.height ?? 34)
const slabs = computed(() => layOut(props.layers, 0, w.value, 3))
</script>

<template>
  <svg :width="w" :height="h" :viewBox="`0 0 ${w} ${h}`" class="sketch" aria-hidden="true">
    <rect :width="w" :height="h" rx="3" fill="var(--sheet)" />
    <rect
      v-for="(slab, i) in slabs"
      :key="i"
      :x="slab.x"
      :width="slab.width"
      y="0"
      :height="h"
      :fill="textureOf(slab.key)"
      stroke="var(--tex-line)"
      stroke-opacity=".3"
      stroke-width=".7"
    />
    <rect
      x=".5"
      y=".5"
      :width="w - 1"
      :height="h - 1"
      rx="3"
      fill="none"
      stroke="var(--field-line)"
      stroke-opacity=".7"
    />
  </svg>
</template>

<style scoped>
.sketch {
  flex: none;
  border-radius: 3px;
  display: block;
}
</style>
