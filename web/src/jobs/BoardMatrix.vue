<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import { useBoardCells, type BoardRow } from '../shared/state/boardCells'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import { stages as allStages } from '../shared/state/stages'
import BoardLine from './BoardLine.vue'

/** The board as a matrix: surfaces down, stages across. Of a long one only what is on the screen is drawn. */
const props = defineProps<{ job: string; rows: readonly BoardRow[]; feet?: Schemas['BoardFeet'] }>()
const ROW = 49
const { t } = useI18n()
const reader = useReader()
const cells = useBoardCells()
const { built, words } = cells
const stages = allStages()

const body = useTemplateRef('body')
const lines = useRowWindow(() => props.rows.length, body, ROW)
const drawn = computed(() => props.rows.slice(lines.from.value, lines.to.value))
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="t('board.title')">
    <table class="matrix">
      <thead>
        <tr>
          <th scope="col">{{ t('board.surface') }}</th>
          <th v-for="(stage, i) in stages" :key="stage.key" scope="col" :class="{ later: !stage.built }">
            <span class="number">{{ i + 1 }}</span> {{ t(`stage.${stage.key}`) }}
            <span v-if="!stage.built" class="visually-hidden">({{ t('app.later') }})</span>
          </th>
        </tr>
      </thead>
      <tbody ref="body">
        <tr v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
        <BoardLine
          v-for="row in drawn"
          :key="row.id"
          :job="job"
          :row="row"
          :cells="cells"
          :hand="reader.inHand[job] === row.id"
          @take="reader.inHand[job] = row.id"
        />
        <tr v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
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
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  position: relative;
}
</style>

<!-- Its lines are components of their own. -->
<style>
.matrix {
  border-collapse: collapse;
  width: 100%;
}
.matrix th,
.matrix td {
  text-align: left;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
.matrix thead th {
  font: 600 1rem var(--head);
  padding: 8px 6px;
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
.matrix .surface b {
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.matrix td a {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 0 6px;
  color: inherit;
  text-decoration: none;
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
.matrix .stale {
  background-image: radial-gradient(var(--field-line) 1px, transparent 1.2px);
  background-size: 8px 8px;
}
.matrix .stale a span:last-child {
  background: var(--paper);
}
.matrix .missing {
  font-size: 12px;
}
.matrix td.later {
  padding: 0 8px;
}
.matrix .dotted {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 2px dotted var(--line);
  border-radius: 50%;
}
.matrix tfoot th,
.matrix tfoot td {
  border-top: 2px solid var(--ink);
  border-bottom: 0;
  padding: 12px 8px;
  font-weight: 650;
  white-space: normal;
}
.matrix tfoot .quiet {
  font-weight: 400;
  font-size: var(--text-s);
}
</style>
