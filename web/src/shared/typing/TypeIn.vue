<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { fieldKeys, type TypedKind } from './fieldKeys'

/** A field to type into, one line or several: everywhere the same, on a phone with the keyboard that can type what is asked. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ kind?: TypedKind; lines?: number }>()
const text = defineModel<string>({ default: '' })
const input = useTemplateRef('input')
const keys = computed(() => (props.lines ? {} : fieldKeys(props.kind)))
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <ElInput
    ref="input"
    v-bind="{ ...keys, ...$attrs }"
    v-model="text"
    :type="lines ? 'textarea' : (($attrs.type as string) ?? 'text')"
    :rows="lines"
    :validate-event="false"
  />
</template>
