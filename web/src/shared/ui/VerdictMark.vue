<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Verdict } from '../api/client'

/** A phase of an eclipse: open ring, half-covered disc, covered disc; a dotted ring is not there yet. */
const props = defineProps<{ verdict: Verdict | null; size?: number; word?: boolean }>()
const { t } = useI18n()
const name = computed(() => t(`verdict.${props.verdict ?? 'none'}`))
</script>

<template>
  <span class="mark" :class="verdict ?? 'none'">
    <svg
      :width="size ?? 16"
      :height="size ?? 16"
      viewBox="0 0 16 16"
      :role="word ? undefined : 'img'"
      :aria-hidden="word ? 'true' : undefined"
      :aria-label="word ? undefined : name"
    >
      <title v-if="!word">{{ name }}</title>
      <circle v-if="verdict === 'hold'" cx="8" cy="8" r="7.5" fill="currentColor" />
      <template v-else-if="verdict === 'care'">
        <circle cx="8" cy="8" r="6.5" fill="none" stroke="currentColor" stroke-width="2" />
        <path d="M8 1.5a6.5 6.5 0 0 0 0 13Z" fill="currentColor" />
      </template>
      <circle
        v-else
        cx="8"
        cy="8"
        r="6.5"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
        :stroke-dasharray="verdict ? undefined : '1.6 2.5'"
      />
    </svg>
    <b v-if="word">{{ name }}</b>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  vertical-align: -2px;
  flex: none;
}
.clear {
  color: var(--clear);
}
.care {
  color: var(--care);
}
.hold {
  color: var(--hold);
}
.none {
  color: var(--ink-2);
  opacity: 0.75;
}
</style>
