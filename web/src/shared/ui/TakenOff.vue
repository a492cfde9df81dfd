<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useProblems } from '../figures/problems'
import type { TakeOff } from '../state/takeOff'

/** What was just taken off, each with its way back. */
defineProps<{ off: TakeOff }>()
const { t } = useI18n()
const { general } = useProblems()
</script>

<template>
  <div class="no-print">
    <p v-for="one in off.waiting.value" :key="one.id" class="taken" role="status">
      {{ t('survey.removed', { name: one.name }) }}
      <ElButton link type="primary" @click="off.undo(one.id)">{{ t('app.undo') }}</ElButton>
    </p>
    <p v-if="off.failed.value" class="fault" role="alert">{{ general(off.failed.value) }}</p>
  </div>
</template>

<style scoped>
.taken {
  display: flex;
  gap: 18px;
  align-items: center;
  min-height: 44px;
  padding: 0 14px;
  border-left: 4px solid var(--field-line);
  background: var(--sheet);
  margin: 6px 0;
}
</style>
