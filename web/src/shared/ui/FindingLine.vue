<script setup lang="ts">
import type { Finding } from '../api/client'
import { useFindingText } from '../figures/findings'
import VerdictMark from './VerdictMark.vue'

/** One finding on one line, where a list with its margins and actions would be too much. */
withDefaults(defineProps<{ finding: Finding; size?: number; detail?: boolean }>(), { size: 14, detail: false })
const text = useFindingText()
</script>

<template>
  <p class="line">
    <VerdictMark :verdict="finding.verdict" :size="size" />
    <span>{{ detail ? text.told(finding) : text.title(finding) }}</span>
  </p>
</template>

<style scoped>
.line {
  display: flex;
  gap: 6px;
  align-items: baseline;
  margin: 0 0 4px;
}
</style>
