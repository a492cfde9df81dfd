<script setup lang="ts">
import { useId, useTemplateRef } from 'vue'
import { useExampleDay } from '../state/times'
import TypeIn from '../typing/TypeIn.vue'
import type { TypedKind } from '../typing/fieldKeys'
import DayPick from './DayPick.vue'

/** A field of a form that is sent as a whole: its label, what is typed, a calendar where it is a day, and its fault. */
defineOptions({ inheritAttrs: false })
defineProps<{
  label: string
  fault?: string
  hint?: string
  /** Told under the field while nothing is wrong with it. */
  note?: string
  day?: boolean
  /** A password: the one there is, or one to come. */
  secret?: 'current' | 'new'
  /** A code that somebody's device shows. */
  code?: boolean
  kind?: TypedKind
  lines?: number
  disabled?: boolean
  /** What is offered while one types; anything else may be typed too. */
  known?: readonly string[]
}>()
const text = defineModel<string>({ default: '' })
const id = useId()
const example = useExampleDay()
const input = useTemplateRef('input')
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <div class="field" :class="$attrs.class">
    <label :for="id">{{ label }}</label>
    <div class="line">
      <TypeIn
        :id="id"
        ref="input"
        v-model="text"
        :type="secret ? 'password' : 'text'"
        :autocomplete="secret ? `${secret}-password` : code ? 'one-time-code' : 'off'"
        :placeholder="day ? example : hint"
        :kind="kind"
        :lines="lines"
        :disabled="disabled"
        :aria-invalid="!!fault"
        :aria-describedby="`${id}-fault`"
        :list="known && `${id}-known`"
        v-bind="{ ...(code && { inputmode: 'numeric' }), ...$attrs, class: undefined }"
      />
      <datalist v-if="known" :id="`${id}-known`">
        <option v-for="one in known" :key="one" :value="one" />
      </datalist>
      <DayPick v-if="day" :day="text" :label="label" :disabled="disabled" @pick="text = $event" />
    </div>
    <em :id="`${id}-fault`" :class="fault ? 'fault' : 'small quiet'">{{ fault || note }}</em>
    <slot />
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
}
em:empty {
  display: none;
}
em {
  font-style: normal;
}
</style>
