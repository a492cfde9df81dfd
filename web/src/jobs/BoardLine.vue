<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import type { BoardCells, BoardRow } from '../shared/state/boardCells'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** A surface as a line of the board; of the last stages, as many as are not there yet, it says nothing. */
const props = defineProps<{ job: string; row: BoardRow; cells: BoardCells; hand: boolean; later: number }>()
const emit = defineEmits<{ take: [] }>()
const { t } = useI18n()
const { built, say, cellOf, isEmpty, verdictOf, missingOf, missingText } = props.cells
</script>

<template>
  <tr role="row" :data-row="row.id" :class="{ hand }" @focusin="emit('take')" @pointerdown="emit('take')">
    <th scope="row" role="rowheader">
      <span class="surface">
        <SectionSketch :layers="row.sketch" />
        <span>
          <b :title="row.name">{{ row.name }}</b>
          <span class="quiet small">{{ t(`kind.${row.kind}`) }}</span>
        </span>
      </span>
    </th>
    <td v-for="stage in built" :key="stage.key" role="cell" :class="{ stale: cellOf(row, stage.key)?.stale }">
      <RouterLink :to="stage.to(job, row.id)!" :title="cellOf(row, stage.key)?.stale ? t('board.stale') : undefined">
        <VerdictMark v-if="!stage.unmarked" :verdict="verdictOf(row, stage.key)" />
        <span class="says">
          <span :class="{ quiet: isEmpty(row, stage.key) }">{{ say(row, stage) }}</span>
          <small v-if="missingOf(row, stage.key).length" class="missing quiet" :title="missingText(row, stage.key)">
            {{ t('board.missing', { count: missingOf(row, stage.key).length }) }}
            <span class="visually-hidden">{{ missingText(row, stage.key) }}</span>
          </small>
          <component :is="stage.more" v-if="stage.more" :job="job" :surface="row.id" />
        </span>
      </RouterLink>
    </td>
    <td v-if="later" role="cell" class="later" :aria-colspan="later" :style="{ gridColumn: `span ${later}` }">
      <i v-for="i in later" :key="i" class="dotted" aria-hidden="true" />
      <span class="visually-hidden">{{ t('app.later') }}</span>
    </td>
  </tr>
</template>
