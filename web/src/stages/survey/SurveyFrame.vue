<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import StageFrame from '@/shared/ui/StageFrame.vue'
import StagePages from '@/shared/ui/StagePages.vue'

/** A page of the survey: the stage's own frame, and the pages of the walk-through as a second line. */
const props = defineProps<{ job: string; surface?: string; wide?: boolean }>()
const { t } = useI18n()
const reader = useReader()

const surface = computed(() => props.surface ?? reader.inHand[props.job] ?? '')
const pages = computed(() =>
  [
    { name: 'survey', params: { job: props.job } },
    ...(surface.value ? [{ name: 'surfaceSheet', params: { job: props.job, surface: surface.value } }] : []),
    ...['joints', 'complaints', 'baseline', 'prepare', 'exchange'].map((name) => ({
      name,
      params: { job: props.job },
    })),
  ].map((to) => ({ name: to.name, to, text: t(`survey.page.${to.name}`) })),
)
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="survey" route="surfaceSheet" :wide="wide">
    <StagePages :label="t('survey.pages')" :pages="pages" />
    <slot />
    <template #side><slot name="side" /></template>
  </StageFrame>
</template>
