<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { useReader } from '../shared/state/reader'
import FigureText from '../shared/ui/FigureText.vue'
import FindingLine from '../shared/ui/FindingLine.vue'
import { cards, type Card } from './cards'

/** The answer of a card: the figure that matters large, the others beside it. */
const props = defineProps<{ card: Card; answer: Schemas['PocketAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const figures = computed(() =>
  cards[props.card].figures.flatMap((key) => {
    const worked = props.answer.figures[key]
    return worked ? [{ key, ...worked }] : []
  }),
)
const isEmpty = computed(() => !figures.value.length && !props.answer.inches.length)
const widthOf = (inch: Schemas['PocketInch']) => ({ width: `${inch.left.figure.amount}%` })
</script>

<template>
  <section class="result" aria-live="polite">
    <p v-if="isEmpty" class="quiet">{{ t('pocket.waits') }}</p>
    <template v-else>
      <p v-if="figures[0]" class="first">
        <b><FigureText :figure="figures[0].figure" :working="figures[0].working" /></b>
        {{ t(`pocket.figure.${figures[0].key}`) }}
      </p>
      <FindingLine v-if="answer.finding" detail :finding="answer.finding" />
      <p v-if="figures.length > 1" class="rest">
        <span v-for="one in figures.slice(1)" :key="one.key">
          <FigureText :figure="one.figure" :working="one.working" /> {{ t(`pocket.figure.${one.key}`) }}
        </span>
      </p>
      <p v-if="answer.inches.length" class="small quiet">{{ t('pocket.inches') }}</p>
      <ol v-if="answer.inches.length" class="inches">
        <li v-for="inch in answer.inches" :key="inch.thickness.amount">
          <b>{{ reader.print(inch.thickness) }}</b>
          <span class="bar" aria-hidden="true"><i :style="widthOf(inch)" /></span>
          <FigureText :figure="inch.left.figure" :working="inch.left.working" />
          <span class="small quiet">{{ t('pocket.cut', { cut: reader.print(inch.cut) }) }}</span>
        </li>
      </ol>
    </template>
    <p v-if="answer.note" class="care">{{ t(`pocket.note.${answer.note}`) }}</p>
    <p v-if="card === 'sets' && !isEmpty" class="small quiet">{{ t('pocket.risk') }}</p>
  </section>
</template>

<style scoped>
.result {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-left: 4px solid var(--copper);
  border-radius: 6px;
  padding: 10px 16px;
  min-height: 74px;
  display: grid;
  gap: 4px;
  align-content: center;
}
.first b {
  font: 700 1.9rem var(--head);
  margin-right: 6px;
}
.rest {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
.inches {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 46vh;
  overflow-y: auto;
}
.inches li {
  display: grid;
  grid-template-columns: 64px minmax(60px, 1fr) 64px 150px;
  gap: 10px;
  align-items: center;
  min-height: 30px;
}
.bar {
  height: 12px;
  background: var(--line);
  border-radius: 6px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--copper);
}
.care {
  font-weight: 650;
}
@media (max-width: 700px) {
  .inches {
    max-height: 32vh;
  }
  .result {
    padding: 8px 12px;
  }
  .inches li {
    grid-template-columns: 62px minmax(30px, 1fr) 60px 96px;
  }
}
</style>
