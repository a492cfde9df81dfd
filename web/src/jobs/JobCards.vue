<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { useNarrow } from '../shared/state/narrow'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import { useDays } from '../shared/state/times'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** Jobs as lines: where, who, when, how much, and what is not clear. Of many only those on the screen are drawn. */
const props = defineProps<{ cards: readonly Schemas['JobCard'][] }>()
const [WIDE, NARROW] = [82, 112]
const { t } = useI18n()
const reader = useReader()
const day = useDays()
const isNarrow = useNarrow()
const list = useTemplateRef('list')
const lines = useRowWindow(
  () => props.cards.length,
  list,
  () => (isNarrow.value ? NARROW : WIDE),
)
const drawn = computed(() => props.cards.slice(lines.from.value, lines.to.value))
const isCalculated = (card: Schemas['JobCard']) => card.upToDate || card.hold + card.care + card.clear > 0
</script>

<template>
  <ul ref="list" class="cards">
    <li v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
    <li v-for="card in drawn" :key="card.job.id">
      <RouterLink :to="{ name: 'board', params: { job: card.job.id } }">
        <h2>{{ card.job.name }}</h2>
        <p class="quiet">
          {{ t('jobs.zone', { zone: card.job.climateZone })
          }}<template v-if="card.job.crew"> · {{ t('jobs.crew', { crew: card.job.crew }) }}</template
          ><template v-if="card.place"> · {{ card.place }}</template> · {{ t('jobs.surfaces', card.surfaces) }}
          <template v-if="card.workDate"> · {{ t('jobs.workDate', { day: day(card.workDate) }) }}</template>
        </p>
        <p class="sum" :aria-busy="!card.upToDate">
          <span v-if="!card.upToDate" class="small quiet">{{ t('jobs.behind') }}</span>
          <b>{{ isCalculated(card) ? reader.print(card.area) : '–' }}</b>
          <span v-if="card.hold"><VerdictMark verdict="hold" /> {{ t('jobs.hold', { count: card.hold }) }}</span>
          <span v-if="card.care"><VerdictMark verdict="care" /> {{ t('jobs.care', { count: card.care }) }}</span>
          <span v-if="card.clear"><VerdictMark verdict="clear" /> {{ t('jobs.clear', { count: card.clear }) }}</span>
        </p>
      </RouterLink>
    </li>
    <li v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
  </ul>
</template>

<style scoped>
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.cards a {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 24px;
  padding: 18px 8px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.cards a:hover {
  background: var(--in-hand);
}
.cards h2 {
  grid-column: 1;
}
.sum {
  grid-column: 2;
  grid-row: 1 / 3;
  display: flex;
  gap: 18px;
  align-items: center;
}
@media (max-width: 700px) {
  .cards a {
    grid-template-columns: 1fr;
  }
  .sum {
    grid-column: 1;
    grid-row: auto;
    flex-wrap: wrap;
  }
}
</style>
