<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'

/** Open or closed cell, and which product of it. */
const props = defineProps<{ sheets: readonly Schemas['SheetAnswer'][]; chosen: string | null; disabled: boolean }>()
defineEmits<{ pick: [id: string] }>()
const { t } = useI18n()
const word = (s: Schemas['SheetAnswer']) => t(`system.${s.cell}${s.grade[0]!.toUpperCase()}${s.grade.slice(1)}`)
const groups = computed(() =>
  (['open', 'closed'] as const).map((cell) => ({ cell, sheets: props.sheets.filter((s) => s.cell === cell) })),
)
</script>

<template>
  <div class="picker" role="radiogroup" :aria-label="t('section.pick')">
    <label
      v-for="sheet in groups.flatMap((g) => g.sheets)"
      :key="sheet.id"
      :class="[sheet.cell, { chosen: sheet.id === chosen }]"
    >
      <input
        type="radio"
        name="sheet"
        class="visually-hidden"
        :checked="sheet.id === chosen"
        :disabled="disabled"
        @change="$emit('pick', sheet.id)"
      />
      <svg width="22" height="26" aria-hidden="true">
        <rect width="26" height="26" rx="4" :fill="`url(#tex-${sheet.cell})`" stroke="var(--field-line)" />
      </svg>
      <span
        ><b>{{ word(sheet) }}</b
        ><small>{{ sheet.name }}</small></span
      >
    </label>
  </div>
</template>

<style scoped>
.picker {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
label {
  position: relative;
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 3px 8px 3px 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  cursor: pointer;
}
label span {
  display: grid;
  line-height: 1.15;
  font-size: 14px;
}
small {
  color: var(--ink-2);
  font-size: 12.5px;
}
.chosen {
  border-color: var(--copper);
  box-shadow: inset 0 -3px var(--copper);
}
label:focus-within {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
</style>
