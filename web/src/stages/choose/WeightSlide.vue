<script setup lang="ts">
import { ref, watch } from 'vue'

/** How much a part of a choice matters, 0 to 5. It is told when the knob is let go, or with each press of an arrow. */
const props = defineProps<{ value: number; label: string; disabled: boolean }>()
const emit = defineEmits<{ change: [weight: string] }>()
const now = ref(props.value)
watch(
  () => props.value,
  (kept) => (now.value = kept),
)
</script>

<template>
  <div class="weight">
    <span aria-hidden="true">{{ label }}</span>
    <ElSlider
      v-model="now"
      :min="0"
      :max="5"
      :show-tooltip="false"
      :aria-label="label"
      :disabled="disabled"
      @change="emit('change', String(now))"
    />
    <b>{{ now }}</b>
  </div>
</template>

<style scoped>
.weight {
  display: grid;
  grid-template-columns: 84px 1fr 18px;
  gap: 18px;
  align-items: center;
  min-height: 34px;
}
b {
  text-align: right;
}
</style>
