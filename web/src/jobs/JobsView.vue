<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { laterWords } from '@/i18n'
import type { Schemas } from '../shared/api/client'
import { uploadOnce } from '../shared/api/once'
import { useProblems } from '../shared/figures/problems'
import { useHelpOn } from '../shared/state/help'
import { useJobs } from '../shared/state/job'
import { useSession } from '../shared/state/session'
import AppBar from '../shared/ui/AppBar.vue'
import KeysDialog from '../shared/ui/KeysDialog.vue'
import ProblemNote from '../shared/ui/ProblemNote.vue'
import FileButton from '../shared/ui/FileButton.vue'
import JobCards from './JobCards.vue'
import JobFinder from './JobFinder.vue'
import JobNotice from './JobNotice.vue'
import { useJobFinding } from './finding'
import { useJobLife } from './jobLife'

const FirstSteps = defineAsyncComponent(() => laterWords().then(() => import('./FirstSteps.vue')))
const JobForm = defineAsyncComponent(() => import('./JobForm.vue'))
const DeletedJobs = defineAsyncComponent(() => import('./DeletedJobs.vue'))
const { t } = useI18n()
const { listed } = useWriting()
const session = useSession()
const jobs = useJobs()
const finding = useJobFinding(() => jobs.data.value ?? [])
const life = useJobLife()
const nothing = computed(() => {
  if (finding.onShelf.value.length) return t('jobs.find.none')
  return finding.wanted.shelf === 'archived' ? t('jobs.life.noneArchived') : t('jobs.life.noneInWork')
})
useHelpOn(() => 'jobs')
const route = useRoute()
// Back from the places with one to take, or without.
const making = ref(route.query.new !== undefined)
const placed = typeof route.query.place === 'string' ? route.query.place : undefined
const mayHaveSteps = computed(() => session.may('price') && (jobs.data.value?.length ?? 0) <= FEW && !making.value)
const keys = ref(false)
const router = useRouter()
const open = (job: string) => router.push({ name: 'survey', params: { job } })

const MOST_MEGABYTES = 250
// A firm with more jobs than these has found its way.
const FEW = 3
const queries = useQueryClient()
const { general } = useProblems()
const fault = ref('')

async function bringIn([file]: File[]) {
  if (!file) return
  try {
    const job = await uploadOnce<Schemas['BroughtIn']>('/api/jobs/file', file, MOST_MEGABYTES, 'application/json')
    fault.value = ''
    await queries.invalidateQueries({ queryKey: ['jobs'] })
    await router.push({ name: 'board', params: { job: job.id } })
  } catch (cause) {
    fault.value = general(cause)
  }
}
</script>

<template>
  <AppBar @keys="keys = true" />
  <KeysDialog v-model="keys" />
  <main id="work" class="page">
    <div class="head">
      <div>
        <h1>{{ t('jobs.title') }}</h1>
        <p v-if="session.person" class="quiet">
          {{ listed([session.person.firm, session.person.title]) }} ·
          <RouterLink class="act" :to="{ name: 'ownAccess' }">{{ t('ownAccess.open') }}</RouterLink>
        </p>
      </div>
      <div v-if="session.may('edit') && !making" class="acts">
        <FileButton accept=".json,application/json" @files="bringIn">{{ t('board.jobFile') }}</FileButton>
        <RouterLink class="act desk" :to="{ name: 'firm' }">{{ t('firm.title') }}</RouterLink>
        <ElButton type="primary" @click="making = true">{{ t('jobs.new') }}</ElButton>
      </div>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <FirstSteps v-if="mayHaveSteps" @new-job="making = true" />
    <JobForm v-if="making" :place="placed" @cancel="making = false" @done="open" />
    <JobNotice :life="life" />
    <ProblemNote v-if="jobs.error.value" :problem="jobs.error.value" @retry="jobs.refetch()" />
    <ElSkeleton v-else-if="jobs.isPending.value" :rows="4" animated />
    <p v-else-if="jobs.data.value?.length === 0 && !making" class="empty">{{ t('jobs.empty') }}</p>
    <template v-else-if="jobs.data.value?.length">
      <JobFinder
        v-model="finding.wanted"
        :crews="finding.crews.value"
        :places="finding.places.value"
        :found="finding.found.value.length"
        :all="finding.onShelf.value.length"
      />
      <DeletedJobs v-if="finding.wanted.shelf === 'deleted'" :life="life" />
      <p v-else-if="!finding.found.value.length" class="empty">
        {{ nothing }}
        <ElButton v-if="finding.onShelf.value.length" link type="primary" @click="finding.clear()">{{
          t('jobs.find.clear')
        }}</ElButton>
      </p>
      <JobCards v-else :cards="finding.found.value" :life="life" />
    </template>
  </main>
</template>

<style scoped>
.page {
  max-width: 980px;
  margin: 0 auto;
  padding: 28px 20px 60px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  justify-content: space-between;
  align-items: end;
  margin-bottom: 20px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.empty {
  padding: 40px 0;
  max-width: 46ch;
}
/* On a phone the menu leads there: the jobs come first. */
@media (max-width: 700px) {
  .desk {
    display: none;
  }
}
</style>
