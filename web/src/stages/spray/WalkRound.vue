<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import FoldBox from '@/shared/ui/FoldBox.vue'

/** What is looked at before a surface is called finished. */
const props = defineProps<{ answer: Schemas['SprayAnswer']; locked: boolean }>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const list = computed(() => props.answer.walkRound.map(({ item, seen }) => ({ item: item ?? '', seen })))
const asked = computed(() => props.answer.lifts.length >= props.answer.planned && !props.answer.open)
</script>

<template>
  <FoldBox class="walk" :title="t('spray.walk.title')" :opened="asked">
    <p class="small">{{ t('spray.walk.lead') }}</p>
    <ul>
      <li v-for="{ item, seen } in list" :key="item">
        <ElCheckbox :model-value="seen" :disabled="locked || seen" @change="emit('say', { kind: 'seen', item })">{{
          t(`spray.item.${item}`)
        }}</ElCheckbox>
      </li>
    </ul>
  </FoldBox>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.walk {
  margin-bottom: 16px;
}
li :deep(.el-checkbox) {
  min-height: 48px;
  height: auto;
  white-space: normal;
}
</style>
