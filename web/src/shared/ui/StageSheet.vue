<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBoardCells, type BoardRow } from '../state/boardCells'
import { stages as allStages, type StageKey } from '../state/stages'
import SurfaceList from './SurfaceList.vue'
import VerdictMark from './VerdictMark.vue'

/** A sheet from below: the stages of a surface with what each says, and the other surfaces where one is at a stage. */
const props = defineProps<{
  job: string
  row?: BoardRow
  /** The stage one is at. */
  stage?: StageKey
  rows?: readonly BoardRow[]
  /** The page of another surface at this stage. */
  to?: (surface: string) => object
}>()
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const { say, verdictOf } = useBoardCells()
const shown = ref(true)
const stages = computed(() =>
  allStages().map(({ key, built }, i) => ({ key, built, number: i + 1, page: built?.to(props.job, props.row?.id) })),
)
</script>

<template>
  <ElDrawer
    v-model="shown"
    direction="btt"
    size="auto"
    :title="row?.name ?? t('board.title')"
    append-to-body
    class="stage-sheet"
    @closed="emit('close')"
  >
    <nav :aria-label="t('board.stages')">
      <template v-for="one in stages" :key="one.key">
        <RouterLink
          v-if="one.page"
          :to="one.page"
          :aria-current="one.key === stage ? 'page' : undefined"
          @click="shown = false"
        >
          <small>{{ one.number }}</small>
          <b>{{ t(`stage.${one.key}`) }}</b>
          <span v-if="row && one.built" class="says">
            {{ say(row, one.built) }}
            <component :is="one.built.more" v-if="one.built.more" :job="job" :surface="row.id" />
          </span>
          <VerdictMark v-if="row && !one.built!.unmarked" :verdict="verdictOf(row, one.key)" />
        </RouterLink>
        <span v-else class="later">
          <small>{{ one.number }}</small>
          <span>{{ t(`stage.${one.key}`) }}</span>
          <span class="says">{{ t('app.later') }}</span>
        </span>
      </template>
    </nav>
    <nav v-if="to && rows?.length" :aria-label="t('board.surfaces')">
      <h3>{{ t('board.surfaces') }}</h3>
      <SurfaceList :rows="rows" :surface="row?.id" :stage="stage" :to="to" @go="shown = false" />
    </nav>
  </ElDrawer>
</template>

<style>
.stage-sheet {
  max-height: 86vh;
}
</style>

<style scoped>
a,
.later {
  display: grid;
  grid-template-columns: 14px auto minmax(0, 1fr) 18px;
  gap: 10px;
  align-items: center;
  min-height: 48px;
  padding: 2px 6px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.later {
  color: var(--ink-2);
}
[aria-current] {
  background: var(--in-hand);
  box-shadow: inset 5px 0 var(--copper);
  padding-left: 14px;
}
.says {
  text-align: right;
}
h3 {
  margin: 20px 0 8px;
}
</style>
