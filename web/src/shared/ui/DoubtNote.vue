<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { FieldDoubt } from '../api/client'
import { useReader } from '../state/reader'

/** How a doubtful text was read, and one tap to the other meaning. */
defineProps<{ doubt: FieldDoubt | undefined }>()
defineEmits<{ other: [text: string]; right: [] }>()
const { t } = useI18n()
const reader = useReader()
</script>

<template>
  <span v-if="doubt" class="doubt" role="status">
    {{ t(`doubt.${doubt.code}`, { readAs: reader.print(doubt.readAs) }) }}
    <ElButton v-if="doubt.other" link type="primary" @click="$emit('other', doubt.other)">
      {{ doubt.other }}?
    </ElButton>
    <ElButton v-if="doubt.code !== 'instead'" link type="primary" @click="$emit('right')">
      {{ t('doubt.right') }}
    </ElButton>
  </span>
</template>

<style scoped>
.doubt {
  display: block;
  font-size: var(--text-s);
  color: var(--care);
}
.el-button {
  padding: 0 6px;
}
</style>
