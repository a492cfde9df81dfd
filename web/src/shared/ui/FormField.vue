<script setup lang="ts">
import { useId } from 'vue'
import DayPick from './DayPick.vue'

/** A field of a form that is sent as a whole: its label, what is typed, a calendar where it is a day, and its fault. */
defineProps<{
  label: string
  fault?: string
  hint?: string
  day?: boolean
  /** A password: the one there is, or one to come. */
  secret?: 'current' | 'new'
  /** A code that somebody's device shows. */
  code?: boolean
}>()
const text = defineModel<string>({ default: '' })
const id = useId()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <div class="line">
      <input
        :id="id"
        v-model="text"
        class="input"
        :type="secret ? 'password' : 'text'"
        :autocomplete="secret ? `${secret}-password` : code ? 'one-time-code' : undefined"
        :inputmode="code ? 'numeric' : undefined"
        :placeholder="hint"
        :aria-invalid="!!fault"
        :aria-describedby="`${id}-fault`"
      />
      <DayPick v-if="day" :day="text" :label="label" @pick="text = $event" />
    </div>
    <em :id="`${id}-fault`" class="fault">{{ fault }}</em>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
}
.input {
  flex: 1;
  min-width: 0;
}
.fault:empty {
  display: none;
}
em {
  font-style: normal;
}
</style>
