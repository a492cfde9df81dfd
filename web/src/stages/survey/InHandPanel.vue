<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { RouterLink } from 'vue-router'
import SectionSketch from '@/shared/drawing/SectionSketch.vue'
import type { Slab } from '@/shared/drawing/widths'
import type { Surface } from '@/shared/state/job'
import FindingsList from '@/shared/ui/FindingsList.vue'

/** The surface in hand under the grid: its section, what was found, and the way to its own page. */
defineProps<{ job: string; surface: Surface; sketch: readonly Slab[] }>()
const { t } = useI18n()
</script>

<template>
  <div class="in-hand">
    <div>
      <h2>{{ surface.name }}</h2>
      <p class="quiet small">{{ t(`kind.${surface.kind}`) }}</p>
      <SectionSketch :layers="sketch" :width="266" :height="84" />
      <ElButton class="open" :tag="RouterLink" :to="{ name: 'surfaceSheet', params: { job, surface: surface.id } }">{{
        t('survey.open')
      }}</ElButton>
    </div>
    <FindingsList :findings="surface.findings" />
  </div>
</template>

<style scoped>
.in-hand {
  display: grid;
  grid-template-columns: 266px minmax(0, 1fr);
  gap: 32px;
  padding: 0 4px;
}
.in-hand svg,
.open {
  margin-top: 10px;
}
@media (max-width: 760px) {
  .in-hand {
    grid-template-columns: 1fr;
  }
}
</style>
