<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'

/** Depths of the log that name no place of the plan: they count for the area. */
const props = defineProps<{
  readings: readonly Schemas['FreeReadingAnswer'][]
  timeZone?: string | null
  locked: boolean
}>()
const emit = defineEmits<{ again: [id: string] }>()
const { t } = useI18n()
const reader = useReader()
const times = useTimesIn(() => props.timeZone)
</script>

<template>
  <section>
    <h3>{{ t('prove.depth.free') }}</h3>
    <ul data-free tabindex="-1">
      <li v-for="one in readings" :key="one.id" :class="{ thin: one.isThin }">
        <span>{{ t('prove.depth.freeOf', { depth: reader.print(one.depth), when: times.hour(one.at) }) }}</span>
        <ElButton v-if="!locked" link type="primary" @click="emit('again', one.id)">{{
          t('prove.depth.readAgain')
        }}</ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
}
.thin span {
  color: var(--hold);
  font-weight: 600;
}
</style>
