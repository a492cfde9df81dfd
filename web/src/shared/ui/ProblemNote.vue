<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useProblems } from '../figures/problems'

/** What happened, what was kept, what to do. */
defineProps<{ problem: unknown }>()
defineEmits<{ retry: [] }>()
const { t } = useI18n()
const { general } = useProblems()
</script>

<template>
  <div class="note" role="alert">
    <p>{{ general(problem) }}</p>
    <slot>
      <ElButton @click="$emit('retry')">{{ t('app.retry') }}</ElButton>
    </slot>
  </div>
</template>

<style scoped>
.note {
  border-left: 4px solid var(--hold);
  background: var(--sheet);
  padding: 14px 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
  margin: 16px 0;
}
</style>
