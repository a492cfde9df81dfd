<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { FIRM } from '../shared/keeping/steps'
import { useSession } from '../shared/state/session'
import { useUndoKeys } from '../shared/state/undo'

/** Between the pages of what is the firm's own. */
const { t } = useI18n()
useUndoKeys(FIRM)
const session = useSession()
const pages = computed(() => [
  ...['firm', 'pastJobs', 'stock', 'places', 'targets'],
  ...(session.may('manage') ? ['people'] : []),
])
</script>

<template>
  <nav class="nav" :aria-label="t('firm.pages')">
    <RouterLink v-for="page in pages" :key="page" :to="{ name: page }">
      {{ t(`firm.page.${page}`) }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.nav {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  margin-bottom: 14px;
}
.nav a {
  color: var(--ink);
  min-height: 44px;
  min-width: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
.nav a.router-link-exact-active {
  border-bottom-color: var(--copper);
  font-weight: 700;
}
</style>
