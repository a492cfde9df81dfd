<script setup lang="ts">
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'
import PickOne from './PickOne.vue'
import { useNarrow } from '../state/narrow'

/** The pages of a stage as a second line under the stages. */
const props = defineProps<{ label: string; pages: readonly { name: string; to: RouteLocationRaw; text: string }[] }>()
const route = useRoute()
const router = useRouter()
const isNarrow = useNarrow()

function go(name?: string) {
  const page = props.pages.find((one) => one.name === name)
  if (page) void router.push(page.to)
}
</script>

<template>
  <!-- On a phone the pages would run out of the line. -->
  <PickOne
    v-if="isNarrow"
    class="no-print narrow"
    :model-value="String(route.name)"
    :label="label"
    :options="pages.map((page) => ({ value: page.name, text: page.text }))"
    @update:model-value="go"
  />
  <nav v-else class="pages no-print" :aria-label="label">
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
.narrow {
  margin-bottom: 14px;
}
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
