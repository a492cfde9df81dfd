<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { laterWords } from '@/i18n'
import { ApiProblem } from '../shared/api/client'
import { useBoard } from '../shared/state/job'
import { stageOf } from '../shared/state/stages'
import { useReader } from '../shared/state/reader'
import AppBar from '../shared/ui/AppBar.vue'
import KeysDialog from '../shared/ui/KeysDialog.vue'
import ProblemNote from '../shared/ui/ProblemNote.vue'
import { useShortcuts } from './shortcuts'

/** Around every screen of a job: the bar, the band of hours, the keys. */
const HourBand = defineAsyncComponent(() => laterWords().then(() => import('./HourBand.vue')))
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const route = useRoute()
const reader = useReader()
const keys = ref(false)
const board = useBoard(() => props.job)

const isDeleted = computed(() => board.error.value instanceof ApiProblem && board.error.value.deleted)
const rows = computed(() => board.data.value?.rows ?? [])
const inHand = computed(() => {
  const wanted = (route.params.surface as string | undefined) ?? reader.inHand[props.job]
  return rows.value.find((row) => row.id === wanted) ?? rows.value[0]
})

watchEffect(() => {
  if (inHand.value) reader.inHand[props.job] = inHand.value.id
})
watchEffect(() => {
  document.title = board.data.value ? `${board.data.value.job.name} · ${t('app.name')}` : t('app.name')
})

const aside = computed(() => {
  const job = board.data.value?.job
  if (!job) return ''
  return [t('jobs.zone', { zone: job.climateZone }), job.crew && t('jobs.crew', { crew: job.crew })]
    .filter(Boolean)
    .join(' · ')
})

const page = computed(() => {
  const stage = stageOf(route.name)
  return stage && t(`stage.${stage}`)
})

useShortcuts(() => props.job, rows, inHand, keys)
</script>

<template>
  <AppBar
    class="no-print"
    :title="board.data.value?.job.name"
    :title-to="{ name: 'board', params: { job } }"
    :page="page"
    :aside="aside"
    :zone="board.data.value?.job.timeZone"
    @keys="keys = true"
  />
  <KeysDialog v-model="keys" />
  <HourBand v-if="inHand && route.name !== 'window'" class="no-print" :surface="inHand" :job="job" />
  <ProblemNote v-if="board.error.value" class="problem" :problem="board.error.value" @retry="board.refetch()">
    <RouterLink v-if="isDeleted" class="act" :to="{ name: 'jobs', query: { shelf: 'deleted' } }">
      {{ t('jobs.life.toDeleted') }}
    </RouterLink>
  </ProblemNote>
  <RouterView v-else v-slot="{ Component }">
    <!-- What is typed on the page of one surface belongs to it: another surface gets a page of its own. -->
    <component :is="Component" :key="route.name === 'surfaceSheet' ? String(route.params.surface) : undefined" />
  </RouterView>
</template>

<style scoped>
.problem {
  margin: 24px;
}
</style>
