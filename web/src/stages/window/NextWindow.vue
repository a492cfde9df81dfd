<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWindows } from '@/shared/hours/useWindows'
import { useClock } from '@/shared/state/clock'
import { useReader } from '@/shared/state/reader'
import { useTimes } from '@/shared/state/times'

/** When a surface can be sprayed next and with what chance, in its cell of the board. */
const props = defineProps<{ job: string; surface: string }>()
const { t } = useI18n()
const reader = useReader()
const times = useTimes(() => props.job)
const now = useClock()
const windows = useWindows(() => props.job)
const one = computed(() => windows.data.value?.surfaces.find((each) => each.surface === props.surface))
const said = computed(() => {
  if (!one.value || one.value.lack) return ''
  const next = one.value.next
  if (!next) return t('board.noWindow')
  const chance = reader.print(next.chance)
  return Date.parse(next.from) <= now.value.getTime()
    ? t('board.openWindow', { chance })
    : t('board.nextWindow', { from: times.brief(next.from), chance })
})
</script>

<template>
  <small v-if="said" class="next" :title="t('board.windowTitle')"
    ><span class="visually-hidden">{{ t('board.windowTitle') }}: </span>{{ said }}</small
  >
</template>

<style scoped>
.next {
  font-size: 12px;
  flex-basis: 100%;
  white-space: nowrap;
}
</style>
