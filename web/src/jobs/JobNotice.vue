<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { JobLife } from './jobLife'

/** What was just done to a job, with its way back; or why it could not be done. */
defineProps<{ life: JobLife }>()
const { t } = useI18n()
</script>

<template>
  <p v-if="life.fault.value" class="fault" role="alert">{{ life.fault.value }}</p>
  <p v-else-if="life.done.value" class="done" role="status">
    {{ life.done.value.said }}
    <ElButton v-if="life.done.value.undo" link type="primary" @click="life.undo()">{{ t('app.undo') }}</ElButton>
  </p>
</template>

<style scoped>
.done {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  min-height: 44px;
  padding: 0 14px;
  border-left: 4px solid var(--field-line);
  background: var(--sheet);
  margin: 6px 0 14px;
}
</style>
