<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useEdits } from '@/shared/state/edits'
import { useMaterialRefresh, usePastJobs } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import AppBar from '@/shared/ui/AppBar.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import CrewCards from './CrewCards.vue'
import PastJobForm from './PastJobForm.vue'
import PastJobImport from './PastJobImport.vue'
import PastJobTable from './PastJobTable.vue'
import { ratioChart } from './ratioChart'

/** Finished jobs, what each crew really yields of each product and how sure that is. */
const ChartBox = defineAsyncComponent(() => import('@/shared/ui/ChartBox.vue'))
type Job = Schemas['PastJobAnswer']
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const past = usePastJobs()
const refresh = useMaterialRefresh()
const edits = useEdits()
const mayEdit = computed(() => session.may('edit'))
const adding = ref(false)
const fault = ref('')

const take = (answer?: unknown) => refresh(['pastJobs'], answer)
const off = useTakeOff(async (id) => take(await ask(api.DELETE('/api/past-jobs/{id}', { params: { path: { id } } }))))
const jobs = computed(() => (past.data.value?.jobs ?? []).filter((job) => !off.gone(job.id)))
const crews = computed(() => past.data.value?.crews ?? [])

async function leaveOut({ id }: Job, reason: string) {
  const place = { kind: 'pastJob', id }
  const outcome = await edits.keep(place, { leftOut: reason })
  fault.value = edits.faultAt(place)
  if (outcome === 'refused') edits.forget(place, 'leftOut')
  return outcome !== 'refused'
}

async function readAnew() {
  await past.refetch()
  take()
}

const charts = computed(() => ({
  temperature: ratioChart(jobs.value, 'temperature', reader.units, t),
  season: ratioChart(jobs.value, 'season', reader.units, t),
}))
</script>

<template>
  <AppBar :title="t('past.title')" />
  <main id="work" class="page">
    <FirmNav />
    <h1>{{ t('past.title') }}</h1>
    <p class="quiet lead">{{ t('past.lead') }}</p>
    <ProblemNote v-if="past.error.value" :problem="past.error.value" @retry="past.refetch()" />
    <ElSkeleton v-else-if="!past.data.value" :rows="8" animated />
    <template v-else>
      <CrewCards v-if="crews.length" :crews="crews" />
      <div v-if="jobs.length" class="charts">
        <figure v-for="kind in ['temperature', 'season'] as const" :key="kind">
          <figcaption>{{ t(`past.chart.${kind}`) }}</figcaption>
          <ChartBox :option="charts[kind]" :label="t(`past.chart.${kind}`)" :height="240" />
        </figure>
      </div>
      <div v-if="mayEdit" class="acts no-print">
        <ElButton type="primary" @click="adding = !adding">{{ t('past.add') }}</ElButton>
        <PastJobImport @taken="readAnew" />
      </div>
      <p class="fault" role="alert">{{ fault }}</p>
      <PastJobForm v-if="adding" @done="(take($event), (adding = false))" @cancel="adding = false" />
      <TakenOff :off="off" />
      <p v-if="!jobs.length" class="empty">{{ t('past.empty') }}</p>
      <PastJobTable
        v-else
        :jobs="jobs"
        :may-edit="mayEdit"
        :leave-out="leaveOut"
        @off="off.takeOff($event.id, $event.name)"
      />
    </template>
  </main>
</template>

<style scoped>
.page {
  max-width: 1240px;
  margin: 0 auto;
  padding: 20px 24px 60px;
}
.lead {
  margin: 4px 0 18px;
}
.charts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
figure {
  margin: 0;
}
figcaption {
  font-weight: 650;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 18px 0 10px;
}
.fault:empty {
  display: none;
}
.empty {
  padding: 24px 0;
}
@media (max-width: 800px) {
  .charts {
    grid-template-columns: 1fr;
  }
}
</style>
