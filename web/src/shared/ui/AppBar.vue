<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useReader } from '../state/reader'
import { useSession } from '../state/session'
import { isDemoClock, useClock } from '../state/clock'
import BrandMark from './BrandMark.vue'
import UnsentButton from './UnsentButton.vue'

/** The bar at the top: where one is, and how one reads. */
const props = defineProps<{
  title?: string
  aside?: string
  titleTo?: object
  /** The time zone of what the page shows. */
  zone?: string | null
}>()
defineEmits<{ keys: [] }>()
const reader = useReader()
const session = useSession()
const router = useRouter()
const queries = useQueryClient()
const { t, d } = useI18n()
const now = useClock(5_000)
const zone = () => props.zone ?? undefined
const time = computed(() => d(now.value, { dateStyle: 'medium', timeStyle: 'short', timeZone: zone() }))
const hour = computed(() => d(now.value, { timeStyle: 'short', timeZone: zone() }))

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
    <template v-if="title">
      <span class="rule" aria-hidden="true" />
      <RouterLink v-if="titleTo" :to="titleTo" class="title">{{ title }}</RouterLink>
      <span v-else class="title">{{ title }}</span>
    </template>
    <span v-if="aside" class="aside">{{ aside }}</span>
    <span class="gap" />
    <span v-if="isDemoClock()" class="demo" :title="t('app.demoClock', { time })">
      <span class="long">{{ t('app.demoClock', { time }) }}</span><span class="short">{{
        t('app.demoShort', { time: hour })
      }}</span>
    </span>
    <UnsentButton />
    <button
      type="button"
      :aria-label="t('app.units.switch', { now: t(`app.units.${reader.units}`) })"
      @click="reader.switchUnits()"
    >
      {{ t(`app.units.${reader.units}`) }}
    </button>
    <button
      type="button"
      :aria-label="t('app.theme.switch', { now: t(`app.theme.${reader.theme}`) })"
      @click="reader.switchTheme()"
    >
      {{ t(`app.theme.${reader.theme}`) }}
    </button>
    <button type="button" class="keys" @click="$emit('keys')">? {{ t('app.keys') }}</button>
    <button
      v-if="session.person"
      type="button"
      :title="t('app.signedInAs', { title: session.person.title, firm: session.person.firm })"
      @click="leave"
    >
      {{ t('app.signOut') }}
    </button>
  </header>
</template>

<style scoped>
.bar {
  background: var(--bar);
  color: var(--bar-ink);
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 5px 20px;
  min-height: 54px;
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  color: inherit;
  text-decoration: none;
  font: 700 1.15rem var(--head);
  min-height: 44px;
}
.rule {
  width: 1px;
  height: 18px;
  background: var(--bar-ink-2);
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
}
.gap {
  flex: 1;
}
.demo .short {
  display: none;
}
.demo {
  color: var(--bar-ink-2);
  font-size: var(--text-s);
  white-space: nowrap;
}
button {
  border: 1px solid #ffffff45;
  border-radius: 22px;
  background: none;
  color: inherit;
  min-height: 44px;
  min-width: 44px;
  padding: 0 14px;
  cursor: pointer;
  font-size: var(--text-s);
  white-space: nowrap;
}
button:hover {
  border-color: var(--bar-ink);
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
    flex-wrap: wrap;
    padding: 5px 12px;
    gap: 8px;
  }
  .aside,
  .keys,
  .demo .long,
  .brand b {
    display: none;
  }
  .demo .short {
    display: inline;
  }
  .title {
    max-width: 46vw;
  }
}
@media print {
  button {
    display: none;
  }
}
</style>
