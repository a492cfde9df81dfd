<script setup lang="ts">
import { computed, defineAsyncComponent, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Schemas } from '../shared/api/client'
import { useNarrow } from '../shared/state/narrow'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import { useDays } from '../shared/state/times'
import { useSession } from '../shared/state/session'
import VerdictMark from '../shared/ui/VerdictMark.vue'
import { useJobStanding, type JobLife } from './jobLife'

/** Jobs as lines: where, who, when, how much, and what is not clear. Of many only those on the screen are drawn. */
const props = defineProps<{ cards: readonly Schemas['JobCard'][]; life: JobLife }>()
// One for all lines: a hundred of them would make each letter of a search wait.
const JobMenu = defineAsyncComponent(() => import('./JobMenu.vue'))
const [WIDE, NARROW] = [82, 132]
const { t } = useI18n()
const reader = useReader()
const day = useDays()
const session = useSession()
const standing = useJobStanding()
const router = useRouter()
const isNarrow = useNarrow()
const list = useTemplateRef('list')
const lines = useRowWindow(
  () => props.cards.length,
  list,
  () => (isNarrow.value ? NARROW : WIDE),
)
const drawn = computed(() => props.cards.slice(lines.from.value, lines.to.value))
const asked = shallowRef<{ id: string; button: HTMLElement } | null>(null)
// As it is now: it may change while the menu is open.
const askedJob = computed(() => props.cards.find(({ job }) => job.id === asked.value?.id)?.job)
watch(askedJob, (job) => job || (asked.value = null))
const ask = (id: string, { currentTarget }: MouseEvent) => (asked.value = { id, button: currentTarget as HTMLElement })
async function copy(job: Schemas['JobAnswer']) {
  const made = await props.life.copy(job)
  if (made) await router.push({ name: 'board', params: { job: made } })
}
const isCalculated = (card: Schemas['JobCard']) => card.upToDate || card.hold + card.care + card.clear > 0
</script>

<template>
  <ul ref="list" class="cards">
    <li v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
    <li v-for="card in drawn" :key="card.job.id">
      <RouterLink :to="{ name: 'board', params: { job: card.job.id } }">
        <h2>{{ card.job.name }}</h2>
        <p class="quiet">
          <b class="state">{{ t(`jobs.state.${standing.stateOf(card.job)}`) }}</b> ·
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
      <button
        v-if="session.may('edit')"
        type="button"
        class="more"
        aria-haspopup="menu"
        :aria-expanded="asked?.id === card.job.id"
        :aria-label="t('jobs.life.menu', { name: card.job.name })"
        @click="ask(card.job.id, $event)"
      >
        <svg width="20" height="6" viewBox="0 0 20 6" aria-hidden="true">
          <circle v-for="x in [3, 10, 17]" :key="x" :cx="x" cy="3" r="2.2" fill="currentColor" />
        </svg>
      </button>
    </li>
    <li v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
  </ul>
  <JobMenu
    v-if="asked && askedJob"
    :key="asked.id"
    :job="askedJob"
    :button="asked.button"
    @mark="life.mark(askedJob, $event)"
    @archive="life.archive(askedJob, $event)"
    @copy="copy(askedJob)"
    @remove="life.remove(askedJob)"
    @closed="asked = null"
  />
</template>

<style scoped>
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.cards li {
  display: grid;
  grid-template-columns: 1fr minmax(44px, auto);
  align-items: center;
  gap: 0 8px;
  border-bottom: 1px solid var(--line);
}
.cards a {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 24px;
  padding: 18px 8px;
  color: inherit;
  text-decoration: none;
}
.cards a:hover {
  background: var(--in-hand);
}
.cards h2 {
  grid-column: 1;
}
.more {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  border: 0;
  border-radius: 22px;
  background: none;
  color: var(--ink-2);
  cursor: pointer;
}
.more:hover {
  background: var(--in-hand);
}
.state {
  font-weight: 650;
  color: var(--ink);
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
