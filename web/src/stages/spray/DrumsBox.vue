<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FindingLine from '@/shared/ui/FindingLine.vue'
import FormField from '@/shared/ui/FormField.vue'
import DrumLevel from './DrumLevel.vue'

/** Drums on the rig: opened with their lot, read by dip, scale or strokes, said to be empty. A is hatched, B dotted, always with the letter. */
const props = defineProps<{
  answer: Schemas['SprayAnswer']
  /** The product that is sprayed here. */
  sheet?: string
  /** What is known of the job: lots in the store, and the products it takes. */
  job?: Schemas['JobSpray']
  locked: boolean
}>()
const emit = defineEmits<{ say: [fields: Record<string, string>] }>()
const { t } = useI18n()
const reader = useReader()
const side = ref<'a' | 'b'>()
const lot = ref('')
const count = ref('')
const fromStore = computed(() =>
  (props.job?.lots ?? [])
    .filter((one) => one.side === side.value)
    .toSorted((one, other) => Number(other.sheetId === props.sheet) - Number(one.sheetId === props.sheet)),
)

function open(one: 'a' | 'b') {
  side.value = side.value === one ? undefined : one
  lot.value = count.value = ''
}

function say(kind: string, fields: Record<string, string> = {}) {
  emit('say', { kind, side: side.value!, ...fields })
  side.value = undefined
}

function told(one: Schemas['LotAtHand']) {
  const other = props.job?.courses.find(({ sheetId }) => sheetId === one.sheetId && sheetId !== props.sheet)
  const lot = other ? t('spray.drums.lotOther', { sheet: other.sheet, lot: one.lot }) : one.lot
  return one.full
    ? t('spray.drums.lotFull', { lot, count: one.full }, one.full)
    : t('spray.drums.lotPart', { lot, part: reader.print(one.part) })
}

const isKnown = computed(() => !!props.answer.drums.find((one) => one.side === side.value)?.left)
const leftIn = (one: Schemas['DrumUseAnswer']) =>
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
        <b>{{ leftIn(one) }}</b>
        <span class="small">{{ one.lot ? t('spray.drums.lot', { lot: one.lot }) : t('spray.drums.noLot') }}</span>
        <span class="mark" aria-hidden="true" />
      </button>
    </div>
    <div v-if="side" class="says">
      <DrumLevel :key="side" :is-known="isKnown" @say="say('drumLevel', $event)" />
      <div v-if="fromStore.length" class="line" role="group" :aria-label="t('spray.drums.fromStore')">
        <ElButton
          v-for="one in fromStore"
          :key="one.id"
          class="large"
          @click="say('drumOpened', { stock: one.id, lot: one.lot })"
          >{{ told(one) }}</ElButton
        >
      </div>
      <div class="line">
        <FormField v-model="lot" name="lot" :label="t('spray.drums.lotField')" :hint="t('spray.drums.lotExample')" />
        <ElButton class="large" @click="say('drumOpened', lot.trim() ? { lot: lot.trim() } : {})">{{
          t('spray.drums.opened')
        }}</ElButton>
      </div>
      <div class="line">
        <FormField
          v-model="count"
          name="count"
          :label="t('spray.drums.onTruck', { side: side.toUpperCase() })"
          kind="number"
        />
        <ElButton class="large" :disabled="!count.trim()" @click="say('drumsOnTruck', { count: count.trim() })">{{
          t('spray.drums.saveCount')
        }}</ElButton>
      </div>
      <div class="line">
        <ElButton class="large" @click="say('drumEmpty')">{{ t('spray.drums.empty') }}</ElButton>
        <ElButton class="large" @click="side = undefined">{{ t('spray.drums.cancel') }}</ElButton>
      </div>
    </div>
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
