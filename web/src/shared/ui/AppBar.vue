<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { laterWords } from '@/i18n'
import { useHelp } from '../state/help'
import { onKey } from '../state/keys'
import { useUpright } from '../state/narrow'
import { useReader } from '../state/reader'
import { useSearch } from '../state/search'
import { useSession } from '../state/session'
import { isDemoClock, useClock } from '../state/clock'
import BrandMark from './BrandMark.vue'
import UnsentButton from './UnsentButton.vue'

/** The bar at the top: where one is, and how one reads. */
const props = defineProps<{
  title?: string
  aside?: string
  titleTo?: object
  /** The page within what the title names. */
  page?: string
  /** The time zone of what the page shows. */
  zone?: string | null
}>()
defineEmits<{ keys: [] }>()
// The ways to the other pages; where the bar has no room for its buttons, those too.
const BarMenu = defineAsyncComponent(() => laterWords().then(() => import('./BarMenu.vue')))
const menu = ref(false)
const isUpright = useUpright()
const SearchDialog = defineAsyncComponent(() => import('./SearchDialog.vue'))
const { shown: search, wanted: searched, open: openSearch, come } = useSearch()
onKey('/', openSearch)
// Fetched when it is asked for first, and left there so that it closes as it opened.
const HelpDrawer = defineAsyncComponent(() => laterWords().then(() => import('./HelpDrawer.vue')))
const help = useHelp()
const helped = ref(false)
watchEffect(() => (helped.value ||= help.shown.value))
onKey('h', () => (help.shown.value = help.topic.value !== null))
const reader = useReader()
const session = useSession()
const router = useRouter()
const queries = useQueryClient()
const { t, d } = useI18n()
const now = useClock(5_000)
const zone = () => props.zone ?? undefined
const time = computed(() => d(now.value, { dateStyle: 'medium', timeStyle: 'short', timeZone: zone() }))

async function leave() {
  await session.signOut()
  queries.clear()
  await router.push({ name: 'signIn' })
}
</script>

<template>
  <header class="bar">
    <a class="skip" href="#work">{{ t('app.skip') }}</a>
    <RouterLink :to="{ name: 'jobs' }" class="brand" :title="t('jobs.title')">
      <BrandMark /><b>{{ t('app.name') }}</b>
    </RouterLink>
    <nav v-if="title" class="trail" :aria-label="t('app.trail')">
      <RouterLink v-if="session.person" :to="{ name: 'jobs' }" class="upper">{{ t('jobs.title') }}</RouterLink>
      <RouterLink v-if="titleTo" :to="titleTo" class="title" :title="title">{{ title }}</RouterLink>
      <span v-else class="title" :title="title">{{ title }}</span>
      <span v-if="page" class="page">{{ page }}</span>
    </nav>
    <span v-if="aside" class="aside" :title="aside">{{ aside }}</span>
    <span class="gap" />
    <span v-if="isDemoClock()" class="demo">
      {{ t('app.demoClock', { time }) }}
    </span>
    <UnsentButton />
    <ElButton
      class="desk"
      :aria-label="t('app.units.switch', { now: t(`app.units.${reader.units}`) })"
      @click="reader.switchUnits()"
    >
      {{ t(`app.units.${reader.units}`) }}
    </ElButton>
    <ElButton
      class="desk"
      :aria-label="t('app.theme.switch', { now: t(`app.theme.${reader.theme}`) })"
      @click="reader.switchTheme()"
    >
      {{ t(`app.theme.${reader.theme}`) }}
    </ElButton>
    <ElButton v-if="session.person" class="desk" :aria-label="t('search.open')" @click="openSearch">
      <svg width="17" height="17" viewBox="0 0 17 17" aria-hidden="true" fill="none" stroke="currentColor">
        <circle cx="7" cy="7" r="5.2" stroke-width="2" />
        <path d="M11 11l4.6 4.6" stroke-width="2.4" stroke-linecap="round" />
      </svg>
    </ElButton>
    <ElButton v-if="help.topic.value" class="desk" @click="help.shown.value = true">{{ t('app.help') }}</ElButton>
    <ElButton class="desk" :aria-label="t('app.keys')" :title="t('app.keys')" @click="$emit('keys')">?</ElButton>
    <ElButton
      v-if="session.person"
      class="desk"
      :title="t('app.signedInAs', { title: session.person.title, firm: session.person.firm })"
      @click="leave"
    >
      {{ t('app.signOut') }}
    </ElButton>
    <ElButton
      v-if="session.person || isUpright"
      class="menu"
      :aria-label="t('app.menu')"
      :aria-expanded="menu"
      @click="menu = true"
    >
      <svg width="20" height="14" viewBox="0 0 20 14" aria-hidden="true">
        <path d="M1 1h18M1 7h18M1 13h18" stroke="currentColor" stroke-width="2" stroke-linecap="round" />
      </svg>
    </ElButton>
    <BarMenu v-if="menu" :time="isDemoClock() ? time : ''" @search="openSearch" @leave="leave" @close="menu = false" />
    <SearchDialog v-if="searched" v-model="search" :come="come" />
    <HelpDrawer v-if="helped" />
  </header>
</template>

<style scoped>
.bar {
  background: var(--bar);
  color: var(--bar-ink);
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 5px 20px;
  min-height: 54px;
}
.brand {
  flex: none;
  display: flex;
  align-items: center;
  gap: 10px;
  color: inherit;
  text-decoration: none;
  font: 700 1.15rem var(--head);
  min-height: 44px;
  min-width: 44px;
}
.trail {
  display: flex;
  align-items: center;
  gap: 10px;
  min-width: 0;
}
.trail > * + *::before {
  content: '/' / '';
  color: var(--bar-ink-2);
  margin-right: 10px;
  font-weight: 400;
}
.upper {
  color: var(--bar-ink-2);
  line-height: 44px;
}
.upper:hover {
  color: var(--bar-ink);
}
.page {
  white-space: nowrap;
}
.title {
  font: 600 1.1rem var(--head);
  color: inherit;
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
  line-height: 44px;
}
.aside {
  color: var(--bar-ink-2);
  font-size: var(--text-s);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  /* Gives way before the title does. */
  flex-shrink: 100;
}
.gap {
  flex: 1;
}
.demo {
  color: var(--bar-ink-2);
  font-size: var(--text-s);
  white-space: nowrap;
}
.bar .el-button {
  --el-button-text-color: var(--bar-ink);
  --el-button-border-color: #ffffff45;
  --el-button-hover-text-color: var(--bar-ink);
  --el-button-hover-border-color: var(--bar-ink);
  --el-button-hover-bg-color: transparent;
  --el-button-active-text-color: var(--bar-ink);
  --el-button-active-border-color: var(--bar-ink);
  --el-button-active-bg-color: transparent;
  min-width: 44px;
  padding: 0 14px;
  flex: none;
  font-size: var(--text-s);
  font-weight: 400;
}
.bar :focus-visible {
  outline-color: #f0b489;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 12px;
  top: 8px;
  background: var(--sheet);
  color: var(--ink);
  padding: 10px 14px;
  z-index: 20;
}
@media (max-width: 900px) {
  .bar {
    padding: 5px 12px;
    gap: 10px;
  }
  .aside,
  .trail ~ .gap,
  .upper,
  .page,
  .demo,
  .bar .desk,
  .brand b {
    display: none;
  }
  .trail,
  .title {
    flex: 1;
  }
  .trail .title::before {
    display: none;
  }
}
@media print {
  .bar .el-button {
    display: none;
  }
}
</style>
