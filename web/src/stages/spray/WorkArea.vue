<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import VerdictMark from '@/shared/ui/VerdictMark.vue'

/** Who is out and what runs: said before the trigger, and whenever it changes. It keeps its height, so that nothing moves under a thumb. */
defineProps<{ answer: Schemas['SprayAnswer']; locked: boolean }>()
const emit = defineEmits<{ say: [kind: string] }>()
const { t } = useI18n()
</script>

<template>
  <section class="area" :aria-label="t('spray.area.title')">
    <button
      type="button"
      class="said"
      :aria-pressed="answer.areaClear === true"
      :disabled="locked"
      @click="emit('say', answer.areaClear ? 'areaEntered' : 'areaClear')"
    >
      <b
        ><VerdictMark :verdict="answer.areaClear ? 'clear' : 'hold'" :size="15" />
        {{ t(answer.areaClear ? 'spray.area.isClear' : 'spray.area.isOpen') }}</b
      >
      <span class="small">{{ t(answer.areaClear ? 'spray.area.entered' : 'spray.area.clear') }}</span>
    </button>
    <button
      type="button"
      class="said"
      :aria-pressed="answer.ventilated === true"
      :disabled="locked"
      @click="emit('say', answer.ventilated ? 'ventilationOff' : 'ventilationOn')"
    >
      <b
        ><VerdictMark :verdict="answer.ventilated ? 'clear' : 'hold'" :size="15" />
        {{ t(answer.ventilated ? 'spray.area.isOn' : 'spray.area.isOff') }}</b
      >
      <span class="small">{{ t(answer.ventilated ? 'spray.area.ventilationOff' : 'spray.area.ventilationOn') }}</span>
    </button>
  </section>
</template>

<style scoped>
.area {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.said {
  display: grid;
  align-content: start;
  gap: 2px;
  text-align: left;
  border: 1px solid var(--field-line);
  border-radius: 10px;
  background: var(--sheet);
  color: inherit;
  font: inherit;
  padding: 7px 12px;
  min-height: 84px;
  cursor: pointer;
}
.said b {
  display: flex;
  align-items: center;
  gap: 6px;
}
.said:focus-visible {
  outline: 4px solid var(--copper);
  outline-offset: 3px;
}
</style>
