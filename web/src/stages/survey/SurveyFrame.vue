<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useReader } from '@/shared/state/reader'
import StageFrame from '@/shared/ui/StageFrame.vue'

/** A page of the survey: the stage's own frame, and the pages of the walk-through as a second line. */
const props = defineProps<{ job: string; surface?: string; wide?: boolean }>()
const { t } = useI18n()
const reader = useReader()
const route = useRoute()

const surface = computed(() => props.surface ?? reader.inHand[props.job] ?? '')
const pages = computed(() => [
  { name: 'survey', params: { job: props.job } },
  ...(surface.value ? [{ name: 'surfaceSheet', params: { job: props.job, surface: surface.value } }] : []),
  ...['joints', 'complaints', 'baseline', 'prepare', 'exchange'].map((name) => ({ name, params: { job: props.job } })),
])
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="survey" route="surfaceSheet" :wide="wide">
    <nav class="pages no-print" :aria-label="t('survey.pages')">
      <RouterLink
        v-for="page in pages"
        :key="page.name"
        :to="page"
        :class="{ here: route.name === page.name }"
        :aria-current="route.name === page.name ? 'page' : undefined"
        >{{ t(`survey.page.${page.name}`) }}</RouterLink
      >
    </nav>
    <slot />
    <template #side><slot name="side" /></template>
  </StageFrame>
</template>

<style scoped>
.pages {
  display: flex;
  gap: 4px;
  overflow-x: auto;
  margin: -8px 0 14px;
  border-bottom: 1px solid var(--line);
}
.pages a {
  padding: 10px;
  min-height: 44px;
  color: var(--ink-2);
  text-decoration: none;
  white-space: nowrap;
}
.pages a.here {
  color: var(--ink);
  font-weight: 650;
  box-shadow: inset 0 -3px var(--field-line);
}
</style>
