<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { laterWords } from '@/i18n'
import { useHelpOn } from '../shared/state/help'
import { useBoard, useChoices } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import { useSession } from '../shared/state/session'
import BehindNote from '../shared/ui/BehindNote.vue'
import VerdictMark from '../shared/ui/VerdictMark.vue'
import BoardMatrix from './BoardMatrix.vue'
import JobDoubts from './JobDoubts.vue'
import { useJobLife, useJobStanding } from './jobLife'
import { RouterLink, useRoute } from 'vue-router'
import { useNarrow } from '../shared/state/narrow'

/** Every surface at every stage: one mark and the one figure that matters there. */
const JobForm = defineAsyncComponent(() => import('./JobForm.vue'))
const BoardList = defineAsyncComponent(() => import('./BoardList.vue'))
// Its words come with those of later pages.
const EditionsNote = defineAsyncComponent(() => laterWords().then(() => import('../shared/ui/EditionsNote.vue')))
const PlaceZoneNote = defineAsyncComponent(() => import('@/places/PlaceZoneNote.vue'))
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const choices = useChoices()
const board = useBoard(() => props.job)
useHelpOn(() => 'board')

const life = useJobLife()
const standing = useJobStanding()
const isArchived = computed(() => !!board.data.value && standing.isArchived(board.data.value.job))

// A page that lacks something of the job leads here with its form open.
const wanted = useRoute().query.change
const changing = ref(wanted !== undefined)
const design = computed(() =>
  Object.fromEntries(Object.entries(board.data.value?.job.figures ?? {}).map(([name, f]) => [name, reader.print(f)])),
)
const targets = computed(
  () => choices.data.value?.targetSets.find((set) => set.id === board.data.value?.job.targetSetId)?.edition ?? '',
)

// A matrix needs room; on a phone the board is a list.
const isNarrow = useNarrow()
</script>

<template>
  <main id="work" class="board">
    <h1 class="visually-hidden">{{ t('board.title') }}</h1>
    <BehindNote :job="job" />
    <EditionsNote :job="job" />
    <p v-if="isArchived" class="archived no-print">
      {{ t('jobs.life.archivedNote') }}
      <ElButton v-if="session.may('edit')" link type="primary" @click="life.archive(board.data.value!.job, false)">
        {{ t('jobs.life.unarchive') }}
      </ElButton>
    </p>
    <p v-if="life.fault.value" class="fault" role="alert">{{ life.fault.value }}</p>
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
    <component
      :is="isNarrow ? BoardList : BoardMatrix"
      v-else
      :job="job"
      :rows="board.data.value.rows"
      :feet="board.data.value.feet"
    />
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
.archived {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
  padding: 0 14px;
  min-height: 44px;
  border-left: 4px solid var(--field-line);
  background: var(--sheet);
  margin-bottom: 12px;
}
.board {
  padding: 10px 20px 40px;
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
