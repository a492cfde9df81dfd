<script setup lang="ts">
import { ref, watch } from 'vue'

/** What most people need not see at once, under a line that opens it. */
const props = defineProps<{ title: string; opened?: boolean }>()
const emit = defineEmits<{ toggle: [open: boolean] }>()
defineSlots<{ default: () => unknown; title?: () => unknown }>()
const open = ref(props.opened ? ['it'] : [])
// What there is something to say about is not hidden; nobody's page is folded under their hands.
watch(
  () => props.opened,
  (now) => now && (open.value = ['it']),
)

function toggled() {
  emit('toggle', open.value.length > 0)
}
</script>

<template>
  <ElCollapse v-model="open" expand-icon-position="left" @change="toggled">
    <ElCollapseItem name="it">
      <template #title>
        <slot name="title">{{ title }}</slot>
      </template>
      <slot />
    </ElCollapseItem>
  </ElCollapse>
</template>
