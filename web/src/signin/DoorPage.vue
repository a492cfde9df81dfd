<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import BrandMark from '../shared/ui/BrandMark.vue'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** The page somebody stands at who is not in yet. */
const { t } = useI18n()

const wall = [
  { key: 'wood-siding', thicknessMm: 20 },
  { key: 'osb', thicknessMm: 14 },
  { key: 'closed', thicknessMm: 90 },
  { key: 'freeSpace', thicknessMm: 40 },
  { key: 'gypsum-board', thicknessMm: 14 },
]
</script>

<template>
  <main class="page">
    <div class="cover" aria-hidden="true">
      <SectionSketch :layers="wall" :width="360" :height="420" />
      <div class="marks">
        <VerdictMark verdict="clear" :size="40" />
        <VerdictMark verdict="care" :size="40" />
        <VerdictMark verdict="hold" :size="40" />
      </div>
    </div>
    <div class="side">
      <p class="brand"><BrandMark /> {{ t('app.name') }}</p>
      <slot />
    </div>
  </main>
</template>

<style scoped>
.page {
  min-height: 100vh;
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.cover {
  background: var(--shadow);
  display: grid;
  place-content: center;
  gap: 28px;
}
.marks {
  display: flex;
  justify-content: space-between;
  padding: 0 40px;
  --clear: #58c9b8;
  --care: #e6ae44;
  --hold: #ec7db6;
}
.side {
  display: grid;
  align-content: center;
  gap: 16px;
  padding: 32px clamp(24px, 6vw, 96px);
  max-width: 560px;
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  font: 700 1.2rem var(--head);
  --bar: var(--paper);
}
.brand :deep(path) {
  fill: var(--copper);
}
@media (max-width: 760px) {
  .page {
    grid-template-columns: 1fr;
  }
  .cover {
    display: none;
  }
}
</style>
