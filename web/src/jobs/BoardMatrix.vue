<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { useBoardCells, type BoardRow } from '../shared/state/boardCells'
import { useUpright } from '../shared/state/narrow'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import { stages as allStages, type StageKey } from '../shared/state/stages'
import { tracksOf, type Room } from '../shared/ui/tracks'
import BoardLine from './BoardLine.vue'

/** The board as a matrix: surfaces down, stages across. Of a long one only what is on the screen is drawn. */
const props = defineProps<{ job: string; rows: readonly BoardRow[]; feet?: Schemas['BoardFeet'] }>()
const ROW = 48
const SURFACE = { wide: [136, 168], upright: [100, 118] } as const
const ROOM: Record<StageKey, Room> = {
  survey: [72, 97],
  choose: [57, 62],
  section: [74, 90],
  sets: [64, 70],
  window: [104, 106],
  rig: [72, 74],
  spray: [60, 60],
  prove: [60, 60],
  handOver: [70, 70],
}
// A stage that says nothing yet has its number alone.
const LATER: Room = [24, 24]
const { t } = useI18n()
const reader = useReader()
const cells = useBoardCells()
const { built, words } = cells
// A tablet held upright has no room for stages that say nothing yet.
const isUpright = useUpright()
const stages = computed(() => (isUpright.value ? allStages().filter((one) => one.built) : allStages()))
const later = computed(() => stages.value.length - built.length)
const tracks = computed(() =>
  tracksOf([
    SURFACE[isUpright.value ? 'upright' : 'wide'],
    ...stages.value.map(({ key, built }) => (built ? ROOM[key] : LATER)),
  ]),
)

const body = useTemplateRef('body')
const lines = useRowWindow(() => props.rows.length, body, ROW)
const drawn = computed(() => props.rows.slice(lines.from.value, lines.to.value))
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="t('board.title')">
    <table class="matrix tracks" role="table" :style="tracks">
      <thead role="rowgroup">
        <tr role="row">
          <th scope="col" role="columnheader">{{ t('board.surface') }}</th>
          <th
            v-for="(stage, i) in stages"
            :key="stage.key"
            scope="col"
            role="columnheader"
            :class="{ later: !stage.built }"
            :title="stage.built ? undefined : t('stage.laterHint', { stage: t(`stage.${stage.key}`) })"
          >
            <span class="number">{{ i + 1 }}</span>{{ ' '
            }}<span :class="{ 'visually-hidden': !stage.built }">{{ t(`stage.${stage.key}`) }}</span>
            <span v-if="!stage.built" class="visually-hidden">({{ t('app.later') }})</span>
          </th>
        </tr>
      </thead>
      <tbody ref="body" role="rowgroup">
        <tr v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
        <BoardLine
          v-for="row in drawn"
          :key="row.id"
          :job="job"
          :row="row"
          :cells="cells"
          :later="later"
          :hand="reader.inHand[job] === row.id"
          @take="reader.inHand[job] = row.id"
        />
        <tr v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
      </tbody>
      <tfoot v-if="feet" role="rowgroup">
        <tr role="row">
          <th scope="row" role="rowheader">{{ t('board.feet.surfaces', { count: feet.surfaces }) }}</th>
          <td v-for="stage in built" :key="stage.key" role="cell">
            <template v-if="typeof stage.foot === 'function'">{{ stage.foot(feet, words) }}</template>
            <component :is="stage.foot.is" v-else :feet="feet" :job="job" />
          </td>
          <td v-if="later" role="cell" class="quiet later" :style="{ gridColumn: `span ${later}` }">
            {{ t('board.laterStages') }}
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  position: relative;
}
</style>

<!-- Its lines are components of their own. -->
<style>
.matrix tr {
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.matrix tbody tr {
  min-height: 48px;
}
.matrix th,
.matrix td {
  text-align: left;
}
.matrix thead th {
  font: 600 1rem var(--head);
  padding: 8px 6px;
  white-space: nowrap;
}
.matrix thead tr {
  border-bottom: 2px solid var(--ink);
}
.matrix .number {
  font: 400 var(--text-s) var(--body);
  color: var(--ink-2);
  margin-right: 2px;
}
.matrix thead .later {
  color: var(--ink-2);
  font-weight: 500;
}
.matrix tbody th {
  padding: 4px 8px;
  font-weight: 400;
}
.matrix .surface {
  display: flex;
  align-items: center;
  gap: 12px;
}
.matrix .surface > span {
  display: grid;
  line-height: 1.2;
}
.matrix .surface > span {
  min-width: 0;
}
.matrix .surface b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.matrix td a {
  display: flex;
  align-items: center;
  gap: 6px;
  line-height: 1.2;
  min-height: 44px;
  padding: 0 6px;
  color: inherit;
  text-decoration: none;
}
@media (max-width: 900px) {
  .matrix .sketch {
    display: none;
  }
  .matrix .surface b {
    white-space: normal;
  }
}
.matrix td a:hover {
  box-shadow: inset 0 -2px var(--copper);
}
.matrix tbody tr.hand {
  background: var(--in-hand);
}
.matrix tbody tr.hand th {
  box-shadow: inset 5px 0 var(--copper);
}
.matrix .says {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 6px;
  min-width: 0;
  text-wrap: balance;
}
.matrix .stale {
  background-image: radial-gradient(var(--field-line) 1px, transparent 1.2px);
  background-size: 8px 8px;
}
.matrix .stale .says > span {
  background: var(--paper);
}
.matrix .missing {
  font-size: 12px;
}
.matrix tbody td.later {
  display: grid;
  grid-template-columns: subgrid;
}
.matrix .dotted {
  margin-left: 8px;
  width: 14px;
  height: 14px;
  border: 2px dotted var(--line);
  border-radius: 50%;
}
.matrix tfoot tr {
  border-top: 2px solid var(--ink);
  border-bottom: 0;
  margin-top: -1px;
}
.matrix tfoot th,
.matrix tfoot td {
  padding: 12px 8px;
  font-weight: 650;
}
.matrix tfoot .quiet {
  font-weight: 400;
  font-size: var(--text-s);
}
</style>
