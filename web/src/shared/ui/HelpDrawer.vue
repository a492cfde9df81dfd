<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useHelp, type HelpTopic } from '../state/help'
import { useNarrow } from '../state/narrow'
import { isFirmPage } from '../state/pages'
import VerdictMark from './VerdictMark.vue'

/** What the page on the screen answers, what to enter on it, and what its marks mean. */
const { t, te } = useI18n()
const { topic, shown } = useHelp()
const isNarrow = useNarrow()
const nameOf = (about: HelpTopic) =>
  about === 'board' || about === 'jobs' || about === 'pocket'
    ? t(`${about}.title`)
    : isFirmPage(about)
      ? t(`firm.page.${about}`)
      : t(`stage.${about}`)
const MARKS = ['clear', 'care', 'hold'] as const
</script>

<template>
  <ElDrawer
    v-if="topic"
    v-model="shown"
    :direction="isNarrow ? 'btt' : 'rtl'"
    :size="isNarrow ? 'auto' : 'min(420px, 94vw)'"
    :title="t('help.title', { page: nameOf(topic) })"
    append-to-body
  >
    <h2>{{ t('help.answers') }}</h2>
    <p>{{ t(`help.${topic}.answers`) }}</p>
    <h2>{{ t('help.enter') }}</h2>
    <p>{{ t(`help.${topic}.enter`) }}</p>
    <template v-if="te(`help.${topic}.marks`)">
      <h2>{{ t('help.marks') }}</h2>
      <ul>
        <li v-for="mark in MARKS" :key="mark">
          <VerdictMark :verdict="mark" :size="18" /> {{ t(`help.mark.${mark}`) }}
        </li>
        <li><VerdictMark :verdict="null" :size="18" /> {{ t('help.mark.none') }}</li>
      </ul>
      <p>{{ t(`help.${topic}.marks`) }}</p>
    </template>
    <p class="quiet small">{{ t('help.figures') }}</p>
  </ElDrawer>
</template>

<style scoped>
h2 {
  font-size: 1rem;
  margin: 18px 0 4px;
}
h2:first-child {
  margin-top: 0;
}
ul {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr;
  align-items: start;
  padding: 4px 0;
}
p.quiet {
  margin-top: 14px;
}
</style>
