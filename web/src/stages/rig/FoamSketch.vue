<script setup lang="ts">
import { computed } from 'vue'
import { foamPicture, type FoamLook } from './foamPicture'

/** A cut through foam that looks so, drawn from what it stands for. */
const props = defineProps<{ look: FoamLook }>()
const picture = computed(() => foamPicture(props.look))
</script>

<template>
  <svg class="sketch" viewBox="0 0 96 60" aria-hidden="true">
    <path class="ground" d="M 2 50 H 94 V 57 H 2 Z" />
    <path :d="picture.outline" :class="['foam', picture.fill]" />
    <ellipse v-if="picture.scorched" v-bind="ellipse(picture.scorched)" class="scorched" />
    <ellipse v-for="(cell, i) in picture.cells" :key="i" v-bind="ellipse(cell)" class="cell" />
    <ellipse v-for="(hole, i) in picture.holes" :key="`h${i}`" v-bind="ellipse(hole)" class="hole" />
    <path v-for="(line, i) in picture.lines" :key="`l${i}`" :d="line" class="line" />
    <path v-if="picture.shine" :d="picture.shine" class="shine" />
  </svg>
</template>

<script lang="ts">
import type { Cell } from './foamPicture'

const ellipse = ({ x, y, rx, ry }: Cell) => ({ cx: x, cy: y, rx, ry })
</script>

<style scoped>
.sketch {
  width: 96px;
  height: 60px;
  display: block;
}
.ground {
  fill: var(--line);
}
.foam {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.usual {
  fill: #efd28a;
}
.dark {
  fill: #b07f34;
}
.pale {
  fill: #faf3df;
}
.cell {
  fill: none;
  stroke: #6b5322;
  stroke-width: 0.7;
}
.hole {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1;
}
.scorched {
  fill: #5d3512;
  opacity: 0.75;
}
.line {
  fill: none;
  stroke: #43300c;
  stroke-width: 1.6;
}
.shine {
  fill: none;
  stroke: #fffdf5;
  stroke-width: 3;
  stroke-linecap: round;
}
</style>
