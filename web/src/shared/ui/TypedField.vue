<script setup lang="ts">
import { computed, useId } from 'vue'
import { useDays, useExampleDay } from '../state/times'
import type { Typed } from '../state/typed'
import TypeIn from '../typing/TypeIn.vue'
import { kindOf } from '../typing/fieldKeys'
import DayPick from './DayPick.vue'
import DoubtNote from './DoubtNote.vue'
import MeetingNote from './MeetingNote.vue'
import PickOne, { type Choice } from './PickOne.vue'

/** A field that is typed, kept on leaving it or on Enter, and taken back with Escape. */
const props = defineProps<{
  typed: Typed
  field: string
  label: string
  kept: string
  hint?: string
  options?: readonly Choice[]
  lines?: number
  disabled?: boolean
  hideLabel?: boolean
  /** Whether it is a day, which can be picked from a calendar too. */
  day?: boolean
}>()
const id = useId()

function pick(value = '') {
  props.typed.type(props.field, value)
  keep()
}
const days = useDays()
const example = useExampleDay()
// A day stands in its field as this reader writes it.
const shown = computed(() => (props.day ? days(props.kept) : props.kept))
const keep = () => void props.typed.commit(props.field, shown.value)

function enter(event: KeyboardEvent) {
  if (props.lines) return
  event.preventDefault()
  keep()
}

function back(event: KeyboardEvent) {
  if (props.typed.drafts.value[props.field] === undefined) return (event.target as HTMLInputElement).blur()
  props.typed.forget(props.field)
}
</script>

<template>
  <div class="field">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <PickOne
      v-if="options"
      :id="id"
      :model-value="typed.text(field, kept)"
      :label="label"
      :options="options"
      :name="field"
      :disabled="disabled"
      :fault="typed.faults.value[field]"
      :described="`${id}-note`"
      @update:model-value="pick"
    />
    <div v-else class="line">
      <TypeIn
        :id="id"
        autocomplete="off"
        :name="field"
        :kind="kindOf(field)"
        :lines="lines"
        :data-draft="typed.drafts.value[field] === undefined ? 'no' : 'yes'"
        :model-value="typed.text(field, shown)"
        :disabled="disabled"
        :placeholder="day ? example : hint"
        :aria-invalid="!!typed.faults.value[field]"
        :aria-describedby="`${id}-note`"
        @update:model-value="typed.type(field, $event)"
        @blur="keep"
        @keydown.enter="enter"
        @keydown.esc="back"
      />
      <DayPick
        v-if="day"
        :day="typed.text(field, shown)"
        :kept="kept"
        :label="label"
        :disabled="disabled"
        @pick="typed.put({ [field]: $event })"
      />
    </div>
    <em :id="`${id}-note`" class="fault">{{ typed.faults.value[field] }}</em>
    <MeetingNote
      v-if="typed.meetingAt(field)"
      :label="label"
      :meeting="typed.meetingAt(field)!"
      :say="(text) => options?.find((one) => one.value === text)?.text ?? (day ? days(text) : text)"
      @decide="typed.decide(field, $event)"
    />
    <DoubtNote :doubt="typed.doubtOf(field)" @other="typed.put({ [field]: $event })" @right="typed.right(field)" />
  </div>
</template>

<style scoped>
label {
  font-size: var(--text-s);
  color: var(--ink-2);
}
.line {
  display: flex;
  align-items: center;
}
.fault {
  font-style: normal;
}
.fault:empty {
  display: none;
}
</style>
