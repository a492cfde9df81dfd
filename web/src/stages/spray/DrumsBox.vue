<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FindingLine from '@/shared/ui/FindingLine.vue'
import FormField from '@/shared/ui/FormField.vue'

/** Drums on the rig: opened with their lot, read by dip, said to be empty. A is hatched, B dotted, always with the letter. */
defineProps<{ answer: Schemas['SprayAnswer']; locked: boolean }>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const side = ref<'a' | 'b'>()
const lot = ref('')
const dip = ref('')
const fault = ref('')
const example = computed(() => t('spray.drums.dipExample', { example: reader.units === 'us' ? '11 1/2 in' : '29 cm' }))

function open(one: 'a' | 'b') {
  side.value = side.value === one ? undefined : one
  lot.value = dip.value = fault.value = ''
}

function say(kind: string, fields: Record<string, string> = {}) {
  emit('say', { kind, side: side.value!, ...fields })
  side.value = undefined
}

function level() {
  fault.value = dip.value.trim() ? '' : t('problem.field.empty')
  if (!fault.value) say('drumLevel', { dip: dip.value.trim() })
}

const told = (one: Schemas['DrumUseAnswer']) =>
  one.left ? t('spray.drums.left', { left: reader.print(one.left) }) : t('spray.drums.none')
</script>

<template>
  <section class="drums" :aria-label="t('spray.drums.title')">
    <div class="sides">
      <button
        v-for="one in answer.drums"
        :key="one.side"
        type="button"
        class="side"
        :class="one.side"
        :disabled="locked"
        :aria-expanded="side === one.side"
        @click="open(one.side)"
      >
        <span class="small">{{ t('spray.drums.side', { side: one.side.toUpperCase() }) }}</span>
        <b>{{ told(one) }}</b>
        <span class="small">{{ one.lot ? t('spray.drums.lot', { lot: one.lot }) : t('spray.drums.noLot') }}</span>
        <span class="mark" aria-hidden="true" />
      </button>
    </div>
    <form v-if="side" class="says" novalidate @submit.prevent="level">
      <div class="line">
        <FormField
          v-model="dip"
          name="dip"
          :label="t('spray.drums.dip')"
          :hint="example"
          kind="length"
          :fault="fault"
        />
        <ElButton native-type="submit" type="primary" class="large">{{ t('spray.drums.level') }}</ElButton>
      </div>
      <div class="line">
        <FormField v-model="lot" name="lot" :label="t('spray.drums.lotField')" :hint="t('spray.drums.lotExample')" />
        <ElButton class="large" @click="say('drumOpened', lot.trim() ? { lot: lot.trim() } : {})">{{
          t('spray.drums.opened')
        }}</ElButton>
      </div>
      <div class="line">
        <ElButton class="large" @click="say('drumEmpty')">{{ t('spray.drums.empty') }}</ElButton>
        <ElButton class="large" @click="side = undefined">{{ t('spray.drums.cancel') }}</ElButton>
      </div>
    </form>
    <FindingLine v-for="(one, i) in answer.drumFindings" :key="i" :finding="one" detail />
  </section>
</template>

<style scoped>
.drums {
  margin-bottom: 12px;
}
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 8px;
}
.side {
  position: relative;
  display: grid;
  gap: 2px;
  text-align: left;
  border: 1px solid var(--field-line);
  border-radius: 10px;
  background: var(--sheet);
  color: inherit;
  font: inherit;
  padding: 8px 12px;
  min-height: 76px;
  cursor: pointer;
}
.side:focus-visible {
  outline: 4px solid var(--copper);
  outline-offset: 3px;
}
.mark {
  position: absolute;
  top: 10px;
  right: 12px;
  width: 22px;
  height: 16px;
  border: 1px solid currentColor;
}
.side.a .mark {
  background: repeating-linear-gradient(135deg, currentColor 0 1.5px, transparent 1.5px 5px);
}
.side.b .mark {
  background: radial-gradient(circle, currentColor 1.4px, transparent 1.6px) 0 0 / 7px 7px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-bottom: 8px;
}
.line .large {
  min-height: 56px;
  margin: 0;
  flex: 1 1 120px;
}
</style>
