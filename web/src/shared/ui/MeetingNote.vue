<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** Two people changed one field: both texts are shown, and the person decides. */
defineProps<{
  label: string
  meeting: { mine: string; theirs: string }
  /** What a text is called on the screen, where it is the code of a choice. */
  say?: (text: string) => string
}>()
defineEmits<{ decide: [which: 'mine' | 'theirs'] }>()
const { t } = useI18n()
</script>

<template>
  <div class="meeting" role="alert">
    <h2>{{ t('problem.conflict.title') }}</h2>
    <p>
      {{
        t('problem.conflict.body', {
          field: label,
          mine: (say?.(meeting.mine) ?? meeting.mine) || t('problem.conflict.blank'),
          theirs: (say?.(meeting.theirs) ?? meeting.theirs) || t('problem.conflict.blank'),
        })
      }}
    </p>
    <ElButton type="primary" @click="$emit('decide', 'mine')">{{ t('problem.conflict.mine') }}</ElButton>
    <ElButton @click="$emit('decide', 'theirs')">{{ t('problem.conflict.theirs') }}</ElButton>
  </div>
</template>

<style scoped>
.meeting {
  background: var(--sheet);
  border-left: 5px solid var(--care);
  padding: 12px 16px;
  margin: 6px 0 12px;
}
h2 {
  font-size: 1rem;
}
p {
  margin: 6px 0 10px;
}
.el-button {
  margin-right: 10px;
}
</style>
