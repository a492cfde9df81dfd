<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import { useBoardCells, type BoardRow } from '../shared/state/boardCells'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import { stages as allStages } from '../shared/state/stages'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** The board as a matrix: surfaces down, stages across. Of a long one only what is on the screen is drawn. */
const props = defineProps<{ job: string; rows: readonly BoardRow[]; feet?: Schemas['BoardFeet'] }>()
const ROW = 49
const { t } = useI18n()
const reader = useReader()
const { built, words, say, cellOf, isEmpty, verdictOf, missingOf, missingText } = useBoardCells()
const stages = allStages()

const body = useTemplateRef('body')
const lines = useRowWindow(() => props.rows.length, body, ROW)
const drawn = computed(() => props.rows.slice(lines.from.value, lines.to.value))
const take = (row: BoardRow) => (reader.inHand[props.job] = row.id)
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="t('board.title')">
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
      <tbody ref="body">
        <tr v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
        <tr
          v-for="row in drawn"
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
                <b :title="row.name">{{ row.name }}</b>
                <span class="quiet small">{{ t(`kind.${row.kind}`) }}</span>
              </span>
            </span>
          </th>
          <td v-for="stage in built" :key="stage.key" :class="{ stale: cellOf(row, stage.key)?.stale }">
            <RouterLink
              :to="stage.to(job, row.id)!"
              :title="cellOf(row, stage.key)?.stale ? t('board.stale') : undefined"
            >
              <VerdictMark v-if="!stage.unmarked" :verdict="verdictOf(row, stage.key)" />
              <span :class="{ quiet: isEmpty(row, stage.key) }">{{ say(row, stage) }}</span>
              <small v-if="missingOf(row, stage.key).length" class="missing quiet" :title="missingText(row, stage.key)">
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
</style>
