<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import StageFrame from '@/shared/ui/StageFrame.vue'
import StagePages from '@/shared/ui/StagePages.vue'

/** A page of the sets stage: the material of a surface, the price of the job, its order and load. */
const props = defineProps<{ job: string; surface?: string; wide?: boolean }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()

const surface = computed(() => props.surface ?? reader.inHand[props.job] ?? '')
const pages = computed(() =>
  [
    ...(surface.value ? [{ name: 'sets', params: { job: props.job, surface: surface.value } }] : []),
    ...(session.may('price') ? [{ name: 'price', params: { job: props.job } }] : []),
    { name: 'order', params: { job: props.job } },
  ].map((to) => ({ name: to.name, to, text: t(`sets.page.${to.name}`) })),
)
</script>

<template>
  <StageFrame :job="job" :surface="surface" stage="sets" :wide="wide">
    <StagePages :label="t('sets.pages')" :pages="pages" />
    <slot />
    <template #side><slot name="side" /></template>
  </StageFrame>
</template>
