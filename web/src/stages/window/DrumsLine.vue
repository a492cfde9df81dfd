<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** How warm the drums are when the next window begins, and when blankets must go on. */
const props = defineProps<{ drums: Schemas['DrumsAtStartAnswer']; sheet: string; when: (instant: string) => string }>()
const { t } = useI18n()
const reader = useReader()
const said = computed(() => {
  const figures = { ...reader.printAll(props.drums.figures), sheet: props.sheet, start: props.when(props.drums.start) }
  const { state, on, into } = props.drums
  const room = into ? { ...figures, into: props.when(into) } : undefined
  if (on) {
    const blankets = t('hours.drums.inBlankets', { ...figures, on: props.when(on) })
    return room ? `${blankets} ${t('hours.drums.orHotRoom', room)}` : blankets
  }
  if (room) return t('hours.drums.inHotRoom', room)
  return t(`hours.drums.${state === 'cold' && props.drums.figures.blanket ? 'coldInBlankets' : state}`, figures)
})
</script>

<template>
  <p class="small" :class="{ quiet: drums.state === 'inside' }">{{ said }}</p>
</template>
