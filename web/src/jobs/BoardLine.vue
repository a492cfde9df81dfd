<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import SectionSketch from '../shared/drawing/SectionSketch.vue'
import type { BoardCells, BoardRow } from '../shared/state/boardCells'
import { stages } from '../shared/state/stages'
import VerdictMark from '../shared/ui/VerdictMark.vue'

/** A surface as a line of the board. */
const props = defineProps<{ job: string; row: BoardRow; cells: BoardCells; hand: boolean }>()
const emit = defineEmits<{ take: [] }>()
const { t } = useI18n()
const { built, say, cellOf, isEmpty, verdictOf, missingOf, missingText } = props.cells
const later = stages().filter((one) => !one.built)
</script>

<template>
  <tr :data-row="row.id" :class="{ hand }" @focusin="emit('take')" @pointerdown="emit('take')">
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
      <RouterLink :to="stage.to(job, row.id)!" :title="cellOf(row, stage.key)?.stale ? t('board.stale') : undefined">
        <VerdictMark v-if="!stage.unmarked" :verdict="verdictOf(row, stage.key)" />
        <span :class="{ quiet: isEmpty(row, stage.key) }">{{ say(row, stage) }}</span>
        <small v-if="missingOf(row, stage.key).length" class="missing quiet" :title="missingText(row, stage.key)">
          {{ t('board.missing', { count: missingOf(row, stage.key).length }) }}
          <span class="visually-hidden">{{ missingText(row, stage.key) }}</span>
        </small>
      </RouterLink>
    </td>
    <td
      v-for="stage in later"
      :key="stage.key"
      class="later"
      :title="t('stage.laterHint', { stage: t(`stage.${stage.key}`) })"
    >
      <span class="dotted" aria-hidden="true" />
      <span class="visually-hidden">{{ t('app.later') }}</span>
    </td>
  </tr>
</template>
