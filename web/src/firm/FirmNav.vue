<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { FIRM } from '../shared/keeping/steps'
import { useHelpOn } from '../shared/state/help'
import { isFirmPage, useFirmPages } from '../shared/state/pages'
import { useUndoKeys } from '../shared/state/undo'

/** Between the pages of what is the firm's own. */
const { t } = useI18n()
useUndoKeys(FIRM)
const pages = useFirmPages()
const route = useRoute()
// Pages of one record stand within the page of all of them.
const within = () => (route.name && String(route.name).startsWith('sheet') ? 'sheets' : route.name)
useHelpOn(() => {
  const page = within()
  return isFirmPage(page) ? page : 'firm'
})
</script>

<template>
  <nav class="nav" :aria-label="t('firm.pages')">
    <RouterLink v-for="page in pages" :key="page" :to="{ name: page }" :class="{ here: page === within() }">
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
.nav a.here {
  border-bottom-color: var(--copper);
  font-weight: 700;
}
</style>
