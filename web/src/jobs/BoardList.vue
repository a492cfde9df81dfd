<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../shared/api/client'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import { useBoardCells, type BoardRow } from '../shared/state/boardCells'
import { useReader } from '../shared/state/reader'
import { useRowWindow } from '../shared/state/rowWindow'
import StageSheet from '../shared/ui/StageSheet.vue'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** The board on a phone: of each surface what it has come to, what is next, and its worst mark, which opens all its stages. */
const props = defineProps<{ job: string; rows: readonly BoardRow[]; feet?: Schemas['BoardFeet'] }>()
const ROW = 77
const { t } = useI18n()
const reader = useReader()
const { built, words, say, missingOf, nextOf, standOf, worstOf } = useBoardCells()

const list = useTemplateRef('list')
const lines = useRowWindow(() => props.rows.length, list, ROW)
const drawn = computed(() => props.rows.slice(lines.from.value, lines.to.value))
const opened = ref<BoardRow | null>(null)

function open(row: BoardRow) {
  reader.inHand[props.job] = row.id
  opened.value = row
}

function standing(row: BoardRow) {
  const stage = standOf(row)
  return stage ? t('board.stand', { stage: t(`stage.${stage.key}`), says: say(row, stage) }) : t('board.noStand')
}
const pageOf = (row: BoardRow) => (nextOf(row) ?? standOf(row) ?? built[0]!).to(props.job, row.id) ?? {}
function next(row: BoardRow) {
  const stage = nextOf(row)
  if (!stage) return t('board.allDone')
  const missing = missingOf(row, stage.key).length
  const named = { stage: t(`stage.${stage.key}`), missing: t('board.missing', { count: missing }) }
  return t(missing ? 'board.nextMissing' : 'board.next', named)
}
</script>

<template>
  <div class="list">
    <ul ref="list">
      <li v-if="lines.before.value" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
      <li v-for="row in drawn" :key="row.id" :data-row="row.id" :class="{ hand: reader.inHand[job] === row.id }">
        <RouterLink :to="pageOf(row)" @click="reader.inHand[job] = row.id">
          <SectionSketch :layers="row.sketch" />
          <span class="words">
            <b>{{ row.name }}</b>
            <span class="small quiet">{{ standing(row) }}</span>
            <span class="small">{{ next(row) }}</span>
          </span>
        </RouterLink>
        <ElButton link :aria-label="t('board.stagesOf', { name: row.name })" @click="open(row)">
          <VerdictMark :verdict="worstOf(row)" :size="22" />
        </ElButton>
      </li>
      <li v-if="lines.after.value" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
    </ul>
    <dl v-if="feet" class="feet">
      <dt>{{ t('board.surface') }}</dt>
      <dd>{{ t('board.feet.surfaces', { count: feet.surfaces }) }}</dd>
      <template v-for="stage in built" :key="stage.key">
        <dt>{{ t(`stage.${stage.key}`) }}</dt>
        <dd>
          <template v-if="typeof stage.foot === 'function'">{{ stage.foot(feet, words) }}</template>
          <component :is="stage.foot.is" v-else :feet="feet" :job="job" />
        </dd>
      </template>
    </dl>
    <StageSheet v-if="opened" :job="job" :row="opened" @close="opened = null" />
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 56px;
}
li[data-row] {
  border-bottom: 1px solid var(--line);
}
li a {
  display: grid;
  grid-template-columns: 66px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  min-height: 76px;
  padding: 6px 4px;
  color: inherit;
  text-decoration: none;
}
li .el-button {
  justify-content: center;
}
li.hand {
  background: var(--in-hand);
  box-shadow: inset 5px 0 var(--copper);
}
li.hand a {
  padding-left: 12px;
}
.words {
  display: grid;
  line-height: 1.25;
}
.feet {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 16px;
  margin: 18px 0 0;
  padding-top: 12px;
  border-top: 2px solid var(--ink);
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-weight: 650;
}
</style>
