<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import PickOne, { type Choice } from './PickOne.vue'

/** One of some in a cell of a grid. The list is made when it is opened: a grid of hundreds of lines holds none until then. */
const props = defineProps<{
  label: string
  options: readonly Choice[]
  /** What stands there while it is none of those that can be picked. */
  otherwise?: string
  fault?: string
  disabled?: boolean
}>()
defineOptions({ inheritAttrs: false })
const value = defineModel<string | undefined>({ required: true })
const editing = ref(false)
const cell = useTemplateRef('cell')
const text = computed(() => props.options.find((one) => one.value === value.value)?.text ?? props.otherwise ?? '–')

async function leave() {
  editing.value = false
  await nextTick()
  // Whoever went on to another field meanwhile stays there.
  if (document.activeElement === document.body) cell.value?.focus()
}
</script>

<template>
  <PickOne
    v-if="editing"
    v-bind="$attrs"
    v-model="value"
    :label="label"
    :options="options"
    :fault="fault"
    opens
    @closed="leave"
  />
  <button
    v-else
    ref="cell"
    v-bind="$attrs"
    type="button"
    class="cell-pick"
    role="combobox"
    aria-haspopup="listbox"
    aria-expanded="false"
    :aria-label="label"
    :aria-invalid="!!fault"
    :disabled="disabled"
    @click="editing = true"
    @keydown.down.prevent="editing = true"
    @keydown.esc="cell?.blur()"
  >
    {{ text }}
  </button>
</template>

<style scoped>
.cell-pick {
  width: 100%;
  min-height: 40px;
  padding: 0 22px 0 8px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  position: relative;
}
.cell-pick::after {
  content: '';
  position: absolute;
  right: 8px;
  top: calc(50% - 5px);
  width: 6px;
  height: 6px;
  border: solid var(--ink-2);
  border-width: 0 1.5px 1.5px 0;
  transform: rotate(45deg);
}
.cell-pick:disabled {
  cursor: default;
}
.cell-pick:disabled::after {
  display: none;
}
.cell-pick[aria-invalid='true'] {
  box-shadow: inset 0 -3px var(--hold);
}
</style>
