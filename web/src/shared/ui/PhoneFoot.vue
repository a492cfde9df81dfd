<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { RouterLink } from 'vue-router'
import type { BoardRow } from '../state/boardCells'
import { stageKeys, type StageKey } from '../state/stages'
import StageSheet from './StageSheet.vue'

/** The foot of a stage on a phone, under the thumb: the surface before, the stages, the surface after. */
const props = defineProps<{
  job: string
  surface: string
  stage: StageKey
  rows: readonly BoardRow[]
  to?: (surface: string) => object
}>()
const { t } = useI18n()
const open = ref(false)
const at = computed(() => props.rows.findIndex((row) => row.id === props.surface))
const row = computed(() => props.rows[at.value])
const before = computed(() => (props.to ? props.rows[at.value - 1] : undefined))
const after = computed(() => (props.to ? props.rows[at.value + 1] : undefined))
const number = computed(() => stageKeys.indexOf(props.stage) + 1)
</script>

<template>
  <nav class="foot no-print" :aria-label="t('board.stages')">
    <ElButton
      v-if="to && before"
      :tag="RouterLink"
      :to="to(before.id)"
      :aria-label="t('board.previous', { name: before.name })"
      >‹</ElButton
    >
    <ElButton class="middle" aria-haspopup="dialog" :title="t('board.openSheet')" @click="open = true">
      <span>{{ number }} {{ t(`stage.${stage}`) }}</span>
      <svg width="14" height="9" viewBox="0 0 14 9" aria-hidden="true">
        <path d="M1 8l6-6 6 6" fill="none" stroke="currentColor" stroke-width="2" />
      </svg>
    </ElButton>
    <ElButton
      v-if="to && after"
      :tag="RouterLink"
      :to="to(after.id)"
      :aria-label="t('board.following', { name: after.name })"
      >›</ElButton
    >
    <StageSheet v-if="open" :job="job" :row="row" :stage="stage" :rows="rows" :to="to" @close="open = false" />
  </nav>
</template>

<style scoped>
.foot {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 0;
  z-index: 5;
  display: flex;
  gap: 8px;
  padding: 6px 10px;
  background: var(--sheet);
  border-top: 1px solid var(--line);
}
.foot .el-button {
  min-width: 56px;
  font-size: 1.2rem;
}
.foot .middle {
  flex: 1;
  font-size: var(--text);
}
</style>
