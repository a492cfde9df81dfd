<script setup lang="ts">
import { ref, watch } from 'vue'
import TypeIn from './TypeIn.vue'
import type { TypedKind } from './fieldKeys'

/** A field whose text is told once, when it is left or Enter is pressed. What was refused stays typed. */
const props = defineProps<{ text: string; kind?: TypedKind }>()
const emit = defineEmits<{ change: [text: string] }>()
const typed = ref(props.text)
watch(
  () => props.text,
  (now) => (typed.value = now),
)
</script>

<template>
  <TypeIn v-model="typed" :kind="kind" @change="emit('change', typed)" />
</template>
