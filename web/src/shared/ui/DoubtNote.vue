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
    <button v-if="doubt.other" type="button" class="act" @click="$emit('other', doubt.other)">
      {{ doubt.other }}?
    </button>
    <button v-if="doubt.code !== 'instead'" type="button" class="act" @click="$emit('right')">
      {{ t('doubt.right') }}
    </button>
  </span>
</template>

<style scoped>
.doubt {
  display: block;
  font-size: var(--text-s);
  color: var(--care);
}
.act {
  min-height: 32px;
  padding: 0 6px;
}
@media (max-width: 1000px) {
  .act {
    min-height: 44px;
  }
}
</style>
