<script setup lang="ts">
/**
 * A button that opens files: a label around the browser's own field, which alone may open the system's list of files.
 * What was picked is told once; the same file can be picked again.
 */
defineProps<{ accept: string; multiple?: boolean; main?: boolean; link?: boolean; disabled?: boolean }>()
const emit = defineEmits<{ files: [files: File[]] }>()

function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  if (files.length) emit('files', files)
}
</script>

<template>
  <ElButton tag="label" class="pick" :link="link" :type="main || link ? 'primary' : undefined">
    <slot />
    <input
      type="file"
      class="visually-hidden"
      :accept="accept"
      :multiple="multiple"
      :disabled="disabled"
      @change="pick"
    />
  </ElButton>
</template>

<style scoped>
.pick:focus-within {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
</style>
