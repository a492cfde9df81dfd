<script setup lang="ts">
/** The calendar itself, which is much: it comes with what the pages share, not with the first screens. */
defineProps<{ day?: string }>()
defineEmits<{ pick: [day: unknown] }>()
</script>

<template>
  <ElDatePickerPanel
    :model-value="day"
    value-format="YYYY-MM-DD"
    :border="false"
    @update:model-value="$emit('pick', $event)"
  />
</template>
