<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import { useBoard, useChoices } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import { useSession } from '../shared/state/session'
import { stages as allStages, type Say, type Stage, type StageKey } from '../shared/state/stages'
import BehindNote from '../shared/ui/BehindNote.vue'
import VerdictMark from '../shared/ui/VerdictMark.vue'
import JobDoubts from './JobDoubts.vue'
import { RouterLink, useRoute } from 'vue-router'

/** Every surface at every stage: one mark and the one figure that matters there. */
const JobForm = defineAsyncComponent(() => import('./JobForm.vue'))
const PlaceZoneNote = defineAsyncComponent(() => import('@/places/PlaceZoneNote.vue'))
const props = defineProps<{ job: string }>()
type Row = Schemas['BoardRow']
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const choices = useChoices()
const board = useBoard(() => props.job)
const feet = computed(() => board.data.value?.feet)

// A page that lacks something of the job leads here with its form open.
const wanted = useRoute().query.change
const changing = ref(wanted !== undefined)
const design = computed(() =>
  Object.fromEntries(Object.entries(board.data.value?.job.figures ?? {}).map(([name, f]) => [name, reader.print(f)])),
)
const targets = computed(
  () => choices.data.value?.targetSets.find((set) => set.id === board.data.value?.job.targetSetId)?.edition ?? '',
)

const stages = allStages()
const built = stages.map((stage) => stage.built).filter((stage) => stage !== undefined)
const cellOf = (row: Row, stage: StageKey) => row.cells.find((cell) => cell.stage === stage)
const words: Say = { t: (key, named) => t(key, named ?? {}), print: (figure) => reader.print(figure) }

function say(row: Row, stage: Stage) {
  const cell = cellOf(row, stage.key)
  if (!cell || cell.word === 'none') return stage.none?.(words) ?? t('board.none')
  const figures = Object.fromEntries(Object.entries(cell.figures).map(([k, f]) => [k, reader.print(f)]))
  return stage.cell(cell, figures, words)
}

const missingOf = (row: Row, stage: StageKey) => cellOf(row, stage)?.missing ?? []

// What the survey still wants, and the stages each thing blocks.
const missingText = (row: Row, stage: StageKey) =>
  t('board.blocks', {
    list: listed(
      missingOf(row, stage).map((one) =>
        t('board.blocksOne', { what: t(`wanted.${one.rule}.${one.case}`), stages: t(`stage.${one.blocks}`) }),
      ),
      'apart',
    ),
  })

const take = (row: Row) => (reader.inHand[props.job] = row.id)
</script>

<template>
  <main id="work" class="board">
    <h1 class="visually-hidden">{{ t('board.title') }}</h1>
    <BehindNote :job="job" />
    <PlaceZoneNote
      v-if="board.data.value?.job.placeId && !board.data.value.job.timeZone"
      :place-id="board.data.value.job.placeId"
    />
    <ElSkeleton v-if="!board.data.value" :rows="8" animated />
    <section v-else-if="board.data.value.rows.length === 0" class="empty">
      <VerdictMark :verdict="null" :size="56" />
      <h2>{{ t('board.empty') }}</h2>
      <p>{{ t('board.emptyLead') }}</p>
      <ElButton type="primary" :tag="RouterLink" :to="{ name: 'survey', params: { job } }">{{
        t('board.toSurvey')
      }}</ElButton>
    </section>
    <div v-else class="scroll" tabindex="0" role="region" :aria-label="t('board.title')">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('board.surface') }}</th>
            <th v-for="(stage, i) in stages" :key="stage.key" scope="col" :class="{ later: !stage.built }">
              <span class="number">{{ i + 1 }}</span> {{ t(`stage.${stage.key}`) }}
              <span v-if="!stage.built" class="visually-hidden">({{ t('app.later') }})</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in board.data.value.rows"
            :key="row.id"
            :data-row="row.id"
            :class="{ hand: reader.inHand[job] === row.id }"
            @focusin="take(row)"
            @pointerdown="take(row)"
          >
            <th scope="row">
              <span class="surface">
                <SectionSketch :layers="row.sketch" />
                <span>
                  <b>{{ row.name }}</b>
                  <span class="quiet small">{{ t(`kind.${row.kind}`) }}</span>
                </span>
              </span>
            </th>
            <td v-for="stage in built" :key="stage.key" :class="{ stale: cellOf(row, stage.key)?.stale }">
              <RouterLink
                :to="stage.to(job, row.id)!"
                :title="cellOf(row, stage.key)?.stale ? t('board.stale') : undefined"
              >
                <VerdictMark v-if="!stage.unmarked" :verdict="cellOf(row, stage.key)?.verdict ?? null" />
                <span :class="{ quiet: cellOf(row, stage.key)?.word === 'none' }">{{ say(row, stage) }}</span>
                <small
                  v-if="missingOf(row, stage.key).length"
                  class="missing quiet"
                  :title="missingText(row, stage.key)"
                >
                  {{ t('board.missing', { count: missingOf(row, stage.key).length }) }}
                  <span class="visually-hidden">{{ missingText(row, stage.key) }}</span>
                </small>
              </RouterLink>
            </td>
            <td
              v-for="stage in stages.filter((one) => !one.built)"
              :key="stage.key"
              class="later"
              :title="t('stage.laterHint', { stage: t(`stage.${stage.key}`) })"
            >
              <span class="dotted" aria-hidden="true" />
              <span class="visually-hidden">{{ t('app.later') }}</span>
            </td>
          </tr>
        </tbody>
        <tfoot v-if="feet">
          <tr>
            <th scope="row">{{ t('board.feet.surfaces', { count: feet.surfaces }) }}</th>
            <td v-for="stage in built" :key="stage.key">
              <template v-if="typeof stage.foot === 'function'">{{ stage.foot(feet, words) }}</template>
              <component :is="stage.foot.is" v-else :feet="feet" :job="job" />
            </td>
            <td v-if="built.length < stages.length" :colspan="stages.length - built.length" class="quiet">
              {{ t('board.laterStages') }}
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
    <section v-if="board.data.value" class="design no-print">
      <JobDoubts :job="job" />
      <JobForm
        v-if="changing"
        :job="board.data.value.job"
        :first="String(wanted ?? '')"
        @cancel="changing = false"
        @done="changing = false"
      />
      <template v-else>
        <p class="quiet">{{ t('board.design', { ...design, targets }) }} {{ t('board.summer', design) }}</p>
        <ElButton v-if="session.may('edit')" @click="changing = true">
          {{ t('board.change') }}
        </ElButton>
      </template>
    </section>
  </main>
</template>

<style scoped>
.board {
  padding: 10px 20px 40px;
}
.scroll {
  overflow-x: auto;
  position: relative;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
thead th {
  font: 600 1rem var(--head);
  padding: 8px 6px;
  border-bottom: 2px solid var(--ink);
}
.number {
  font: 400 var(--text-s) var(--body);
  color: var(--ink-2);
  margin-right: 2px;
}
thead .later {
  color: var(--ink-2);
  font-weight: 500;
}
tbody th {
  padding: 4px 8px;
  font-weight: 400;
}
.surface {
  display: flex;
  align-items: center;
  gap: 12px;
}
.surface > span {
  display: grid;
  line-height: 1.2;
}
.surface b {
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
}
td a {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 0 6px;
  color: inherit;
  text-decoration: none;
}
td a:hover {
  box-shadow: inset 0 -2px var(--copper);
}
tbody tr.hand {
  background: var(--in-hand);
}
tbody tr.hand th {
  box-shadow: inset 5px 0 var(--copper);
}
.stale {
  background-image: radial-gradient(var(--field-line) 1px, transparent 1.2px);
  background-size: 8px 8px;
}
.stale a span:last-child {
  background: var(--paper);
}
.missing {
  font-size: 12px;
}
td.later {
  padding: 0 8px;
}
.dotted {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 2px dotted var(--line);
  border-radius: 50%;
}
tfoot th,
tfoot td {
  border-top: 2px solid var(--ink);
  border-bottom: 0;
  padding: 12px 8px;
  font-weight: 650;
  white-space: normal;
}
tfoot .quiet {
  font-weight: 400;
  font-size: var(--text-s);
}
.design {
  margin-top: 22px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.empty {
  display: grid;
  justify-items: start;
  gap: 14px;
  padding: 60px 20px;
}
</style>
