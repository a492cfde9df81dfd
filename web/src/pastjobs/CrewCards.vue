<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FigureText from '@/shared/ui/FigureText.vue'
import CrewCurve from './CrewCurve.vue'

/** What each crew really yields of each product, how sure that is, and how evenly it sprays. */
defineProps<{ crews: readonly Schemas['CrewYieldAnswer'][] }>()
const { t } = useI18n()
const reader = useReader()
</script>

<template>
  <section class="crews">
    <article v-for="crew in crews" :key="crew.crew + crew.family">
      <h2>{{ crew.crew }}</h2>
      <p class="quiet">{{ t(`system.${crew.family}`) }}, {{ t('past.jobs', crew.jobs) }}</p>
      <p class="factor">
        × <FigureText :figure="crew.factor.figure" :working="crew.factor.working" />
        <span class="small quiet">{{
          t('past.between', { low: reader.print(crew.low), high: reader.print(crew.high) })
        }}</span>
      </p>
      <CrewCurve :crew="crew" />
      <i18n-t v-if="crew.scatter" keypath="past.scatter" tag="p" class="small quiet" scope="global">
        <template #scatter><FigureText :figure="crew.scatter.figure" :working="crew.scatter.working" /></template>
      </i18n-t>
    </article>
  </section>
  <p class="small quiet legend">{{ t('past.legend') }}</p>
</template>

<style scoped>
.crews {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 18px 26px;
}
article h2 {
  margin: 0;
}
article p {
  margin: 0;
}
.factor {
  font: 650 1.3rem var(--head);
}
.factor .small {
  margin-left: 8px;
  font: 400 var(--text-s) var(--body);
}
.legend {
  margin: 8px 0 20px;
}
</style>
