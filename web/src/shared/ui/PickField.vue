<script setup lang="ts">
import { useId, useTemplateRef } from 'vue'
import PickOne, { type Choice } from './PickOne.vue'

/** A field of a form in which one of some is picked: its label, the list, what is said about it, and its fault. */
defineProps<{
  label: string
  options: readonly Choice[]
  name?: string
  fault?: string
  disabled?: boolean
}>()
const value = defineModel<string | undefined>({ required: true })
const id = useId()
const pick = useTemplateRef('pick')
defineExpose({ focus: () => pick.value?.focus() })
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <PickOne
      :id="id"
      ref="pick"
      v-model="value"
      :label="label"
      :options="options"
      :name="name"
      :fault="fault"
      :disabled="disabled"
      :described="`${id}-note`"
    />
    <div :id="`${id}-note`">
      <slot />
      <em v-if="fault" class="fault">{{ fault }}</em>
    </div>
  </div>
</template>

<style scoped>
em {
  font-style: normal;
}
div:empty {
  display: none;
}
</style>
