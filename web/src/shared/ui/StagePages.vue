<script setup lang="ts">
import { useRoute, type RouteLocationRaw } from 'vue-router'

/** The pages of a stage as a second line under the stages. */
defineProps<{ label: string; pages: readonly { name: string; to: RouteLocationRaw; text: string }[] }>()
const route = useRoute()
</script>

<template>
  <nav class="pages no-print" :aria-label="label">
    <RouterLink
      v-for="page in pages"
      :key="page.name"
      :to="page.to"
      :class="{ here: route.name === page.name }"
      :aria-current="route.name === page.name ? 'page' : undefined"
      >{{ page.text }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.pages {
  display: flex;
  gap: 4px;
  overflow-x: auto;
  margin: -8px 0 14px;
  border-bottom: 1px solid var(--line);
}
.pages a {
  padding: 10px;
  min-height: 44px;
  color: var(--ink-2);
  text-decoration: none;
  white-space: nowrap;
}
.pages a.here {
  color: var(--ink);
  font-weight: 650;
  box-shadow: inset 0 -3px var(--field-line);
}
</style>
