<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQueryClient } from '@tanstack/vue-query'
import { defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Schemas } from '../shared/api/client'
import { uploadOnce } from '../shared/api/once'
import { useProblems } from '../shared/figures/problems'
import { useJobs } from '../shared/state/job'
import { useReader } from '../shared/state/reader'
import { useSession } from '../shared/state/session'
import AppBar from '../shared/ui/AppBar.vue'
import KeysDialog from '../shared/ui/KeysDialog.vue'
import ProblemNote from '../shared/ui/ProblemNote.vue'
import VerdictMark from '../shared/ui/VerdictMark.vue'
import FileButton from '../shared/ui/FileButton.vue'

const JobForm = defineAsyncComponent(() => import('./JobForm.vue'))
const { t } = useI18n()
const { listed } = useWriting()
const reader = useReader()
const session = useSession()
const jobs = useJobs()
const making = ref(false)
const keys = ref(false)
const router = useRouter()
const isReckoned = (card: Schemas['JobCard']) => card.upToDate || card.hold + card.care + card.clear > 0
const open = (job: string) => router.push({ name: 'survey', params: { job } })

const MOST_MEGABYTES = 250
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
        <RouterLink class="act" :to="{ name: 'firm' }">{{ t('firm.title') }}</RouterLink>
        <ElButton type="primary" @click="making = true">{{ t('jobs.new') }}</ElButton>
      </div>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <JobForm v-if="making" @cancel="making = false" @done="open" />
    <ProblemNote v-if="jobs.error.value" :problem="jobs.error.value" @retry="jobs.refetch()" />
    <ElSkeleton v-else-if="jobs.isPending.value" :rows="4" animated />
    <p v-else-if="jobs.data.value?.length === 0 && !making" class="empty">{{ t('jobs.empty') }}</p>
    <ul v-else class="cards">
      <li v-for="card in jobs.data.value" :key="card.job.id">
        <RouterLink :to="{ name: 'board', params: { job: card.job.id } }">
          <h2>{{ card.job.name }}</h2>
          <p class="quiet">
            {{ t('jobs.zone', { zone: card.job.climateZone })
            }}<template v-if="card.job.crew"> · {{ t('jobs.crew', { crew: card.job.crew }) }}</template> ·
            {{ t('jobs.surfaces', card.surfaces) }}
          </p>
          <p class="sum" :aria-busy="!card.upToDate">
            <span v-if="!card.upToDate" class="small quiet">{{ t('jobs.behind') }}</span>
            <b>{{ isReckoned(card) ? reader.print(card.area) : '–' }}</b>
            <span v-if="card.hold"><VerdictMark verdict="hold" /> {{ t('jobs.hold', { count: card.hold }) }}</span>
            <span v-if="card.care"><VerdictMark verdict="care" /> {{ t('jobs.care', { count: card.care }) }}</span>
            <span v-if="card.clear"><VerdictMark verdict="clear" /> {{ t('jobs.clear', { count: card.clear }) }}</span>
          </p>
        </RouterLink>
      </li>
    </ul>
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
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.cards a {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 24px;
  padding: 18px 8px;
  border-bottom: 1px solid var(--line);
  color: inherit;
  text-decoration: none;
}
.cards a:hover {
  background: var(--in-hand);
}
.cards h2 {
  grid-column: 1;
}
.sum {
  grid-column: 2;
  grid-row: 1 / 3;
  display: flex;
  gap: 18px;
  align-items: center;
}
.empty {
  padding: 40px 0;
  max-width: 46ch;
}
@media (max-width: 700px) {
  .cards a {
    grid-template-columns: 1fr;
  }
  .sum {
    grid-column: 1;
    grid-row: auto;
    flex-wrap: wrap;
  }
}
</style>
