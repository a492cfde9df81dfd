<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'

/** A score as the parts it adds up from, each as wide as it counts. The same parts stand in the same order in every bar. */
const props = defineProps<{ scores: readonly Schemas['ScoreAnswer'][] }>()
const { t } = useI18n()
const parts = computed(() => {
  let from = 0
  return props.scores.map((score) => {
    const width = score.value * score.share * 100
    from += width
    return { part: score.part, from: from - width, width }
  })
})
</script>

<template>
  <span class="bar" aria-hidden="true">
    <i
      v-for="(one, i) in parts"
      :key="one.part"
      :class="`tone${i % 3}`"
      :style="{ left: `${one.from}%`, width: `${one.width}%` }"
      :title="t(`choose.part.${one.part}`)"
    />
  </span>
</template>

<style scoped>
.bar {
  position: relative;
  display: block;
  height: 12px;
  border-bottom: 1px solid var(--field-line);
}
i {
  position: absolute;
  top: 0;
  bottom: 0;
  border-right: 1.5px solid var(--paper);
}
.tone0 {
  background: var(--ink);
}
.tone1 {
  background: var(--copper);
}
.tone2 {
  background: var(--ink-2);
}
</style>
