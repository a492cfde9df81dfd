<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Conflict } from './grid'

/** Two people changed one cell: both texts are shown, and the person decides. */
defineProps<{ conflict: Conflict }>()
defineEmits<{ mine: []; theirs: [] }>()
const { t } = useI18n()
</script>

<template>
  <div class="conflict" role="alert">
    <h2>{{ t('problem.conflict.title') }}</h2>
    <p>
      {{
        t('problem.conflict.body', {
          field: t(`survey.col.${conflict.field}`),
          mine: conflict.mine,
          theirs: conflict.theirs || t('problem.conflict.blank'),
        })
      }}
    </p>
    <button type="button" class="button main" @click="$emit('mine')">{{ t('problem.conflict.mine') }}</button>
    <button type="button" class="button" @click="$emit('theirs')">{{ t('problem.conflict.theirs') }}</button>
  </div>
</template>

<style scoped>
.conflict {
  background: var(--sheet);
  border-left: 5px solid var(--care);
  padding: 12px 16px;
  margin-bottom: 12px;
}
p {
  margin: 6px 0 10px;
}
.button {
  margin-right: 10px;
}
</style>
