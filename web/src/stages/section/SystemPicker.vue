<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'

/** Open or closed cell, and which product of it. */
const props = defineProps<{ sheets: readonly Schemas['SheetAnswer'][]; chosen: string | null; disabled: boolean }>()
const emit = defineEmits<{ pick: [id: string] }>()
const { t } = useI18n()
const word = (s: Schemas['SheetAnswer']) => t(`system.${s.cell}${s.grade[0]!.toUpperCase()}${s.grade.slice(1)}`)
const groups = computed(() =>
  (['open', 'closed'] as const).map((cell) => ({ cell, sheets: props.sheets.filter((s) => s.cell === cell) })),
)
</script>

<template>
  <ElRadioGroup
    class="picker"
    :model-value="chosen ?? undefined"
    :aria-label="t('section.pick')"
    :disabled="disabled"
    @change="emit('pick', String($event))"
  >
    <ElRadio
      v-for="sheet in groups.flatMap((g) => g.sheets)"
      :key="sheet.id"
      :value="sheet.id"
      :class="{ chosen: sheet.id === chosen }"
    >
      <svg width="22" height="26" aria-hidden="true">
        <rect width="26" height="26" rx="4" :fill="`url(#tex-${sheet.cell})`" stroke="var(--field-line)" />
      </svg>
      <span class="words"
        ><b>{{ word(sheet) }}</b
        ><small>{{ sheet.name }}</small></span
      >
    </ElRadio>
  </ElRadioGroup>
</template>

<style scoped>
.picker {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.picker .el-radio {
  height: auto;
  min-height: 44px;
  padding: 3px 8px 3px 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
}
/* The card itself tells which is chosen. */
.picker :deep(.el-radio__inner) {
  display: none;
}
.picker :deep(.el-radio__label) {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0;
}
.words {
  display: grid;
  line-height: 1.15;
  font-size: 14px;
}
small {
  color: var(--ink-2);
  font-size: 12.5px;
}
.picker .chosen {
  border-color: var(--copper);
  box-shadow: inset 0 -3px var(--copper);
}
</style>
