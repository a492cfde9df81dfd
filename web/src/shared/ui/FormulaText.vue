<script setup lang="ts">
import { computed } from 'vue'

/** A formula with its indices set low: R_foam, T_dew, p_ws(T_dew). */
const props = defineProps<{ text: string }>()
const parts = computed(() => props.text.split(/_([\p{L}\d]+(?: place)?)/u))
</script>

<template>
  <span
    ><template v-for="(part, i) in parts" :key="i"
      ><sub v-if="i % 2">{{ part }}</sub
      ><template v-else>{{ part }}</template></template
    ></span
  >
</template>

<style scoped>
sub {
  font-size: 0.78em;
}
</style>
