<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import FirmNav from '@/firm/FirmNav.vue'
import { api, ask, upload, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useMaterialRefresh, usePastJobs } from '@/shared/state/price'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTakeOff } from '@/shared/state/takeOff'
import AppBar from '@/shared/ui/AppBar.vue'
import FigureText from '@/shared/ui/FigureText.vue'
import FileButton from '@/shared/ui/FileButton.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import TakenOff from '@/shared/ui/TakenOff.vue'
import CrewCurve from './CrewCurve.vue'
import PastJobForm from './PastJobForm.vue'
import { ratioChart } from './ratioChart'

/** Finished jobs, what each crew really yields of each product and how sure that is. */
const ChartBox = defineAsyncComponent(() => import('@/shared/ui/ChartBox.vue'))
type Job = Schemas['PastJobAnswer']
const { t, d } = useI18n()
const reader = useReader()
const session = useSession()
const past = usePastJobs()
const refresh = useMaterialRefresh()
const { general, byField } = useProblems()
const mayEdit = computed(() => session.person?.mayEdit ?? false)
const open = ref<string | null>(null)
const fault = ref('')
const reasons = ref<Record<string, string>>({})
const file = ref<{ blob: File; read: Schemas['PastJobsImport'] } | null>(null)

const off = useTakeOff(async (id) => take(await ask(api.DELETE('/api/past-jobs/{id}', { params: { path: { id } } }))))
const jobs = computed(() => (past.data.value?.jobs ?? []).filter((job) => !off.gone(job.id)))
const crews = computed(() => past.data.value?.crews ?? [])
const family = (key: string) => t(`system.${key}`)
const day = (iso: string) => d(new Date(`${iso}T12:00:00`), { dateStyle: 'medium' })
const take = (answer: unknown) => refresh(['pastJobs'], answer)

async function leaveOut(job: Job, reason: string) {
  try {
    const body = { version: job.version, units: reader.units, fields: { leftOut: reason } }
    take(await ask(api.PATCH('/api/past-jobs/{id}', { params: { path: { id: job.id } }, body })))
    fault.value = ''
    delete reasons.value[job.id]
  } catch (cause) {
    fault.value = Object.values(byField(cause))[0] ?? general(cause)
  }
}

async function readFile([blob]: File[]) {
  if (!blob) return
  try {
    file.value = { blob, read: await send(blob, false) }
    fault.value = ''
  } catch (cause) {
    file.value = null
    fault.value = general(cause)
  }
}
const send = (blob: File, taken: boolean) =>
  upload<Schemas['PastJobsImport']>(`/api/past-jobs/import?units=${reader.units}&take=${taken}`, blob, 32)

async function takeFile() {
  if (!file.value) return
  try {
    file.value = { ...file.value, read: await send(file.value.blob, true) }
    await past.refetch()
    refresh(['pastJobs'])
  } catch (cause) {
    fault.value = general(cause)
  }
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
      <section v-if="crews.length" class="crews">
        <article v-for="crew in crews" :key="crew.crew + crew.family">
          <h2>{{ crew.crew }}</h2>
          <p class="quiet">{{ family(crew.family) }}, {{ t('past.jobs', crew.jobs) }}</p>
          <p class="factor">
            × <FigureText :figure="crew.factor.figure" :working="crew.factor.working" />
            <span class="small quiet">{{
              t('past.between', { low: reader.print(crew.low), high: reader.print(crew.high) })
            }}</span>
          </p>
          <CrewCurve :crew="crew" />
        </article>
      </section>
      <p v-if="crews.length" class="small quiet legend">{{ t('past.legend') }}</p>
      <div v-if="jobs.length" class="charts">
        <figure v-for="kind in ['temperature', 'season'] as const" :key="kind">
          <figcaption>{{ t(`past.chart.${kind}`) }}</figcaption>
          <ChartBox :option="charts[kind]" :label="t(`past.chart.${kind}`)" :height="240" />
        </figure>
      </div>
      <div v-if="mayEdit" class="acts no-print">
        <button type="button" class="button main" @click="open = open === 'new' ? null : 'new'">
          {{ t('past.add') }}
        </button>
        <FileButton accept=".csv,.xlsx,.txt" @files="readFile">{{ t('past.import') }}</FileButton>
      </div>
      <p class="fault" role="alert">{{ fault }}</p>
      <div v-if="file" class="import" role="status">
        <p>
          {{
            file.read.taken
              ? t('past.taken', file.read.jobs)
              : t('past.read', { count: file.read.jobs, faults: file.read.faults.length })
          }}
        </p>
        <ul>
          <li v-for="(one, i) in file.read.faults" :key="i" class="fault">
            {{ t('past.line', { line: one.line }) }} {{ one.sentence }}
          </li>
        </ul>
        <button
          v-if="!file.read.taken && !file.read.faults.length && file.read.jobs"
          type="button"
          class="button"
          @click="takeFile"
        >
          {{ t('past.take', file.read.jobs) }}
        </button>
        <button type="button" class="act" @click="file = null">{{ t('past.close') }}</button>
        <p v-if="file.read.faults.length" class="small quiet">{{ t('past.columns') }}</p>
      </div>
      <PastJobForm v-if="open === 'new'" @done="(take($event), (open = null))" @cancel="open = null" />
      <TakenOff :off="off" />
      <p v-if="!jobs.length" class="empty">{{ t('past.empty') }}</p>
      <div v-else class="scroll" tabindex="0" role="region" :aria-label="t('past.title')">
        <table>
          <thead>
            <tr>
              <th v-for="col in ['job', 'crew', 'product', 'finished'] as const" :key="col" scope="col">
                {{ t(`past.col.${col}`) }}
              </th>
              <th
                v-for="col in ['substrate', 'depth', 'sets', 'actual', 'predicted', 'ratio'] as const"
                :key="col"
                scope="col"
                class="right"
              >
                {{ t(`past.col.${col}`) }}
              </th>
              <td></td>
            </tr>
          </thead>
          <tbody>
            <tr v-for="job in jobs" :key="job.id" :class="{ out: job.leftOutBecause }">
              <th scope="row">
                {{ job.name }}
                <span v-if="job.leftOutBecause" class="small quiet why">{{
                  t('past.leftOut', { reason: job.leftOutBecause })
                }}</span>
                <span v-else-if="job.winsorised" class="small quiet why">{{ t('past.winsorised') }}</span>
                <span v-else-if="!job.sheet" class="small quiet why">{{ t('past.noSheet') }}</span>
              </th>
              <td>{{ job.crew }}</td>
              <td>{{ job.sheet || job.sheetId }}</td>
              <td>{{ day(job.finishedOn) }}</td>
              <td class="right">{{ reader.print(job.figures.substrate) }}</td>
              <td class="right">{{ reader.print(job.figures.meanDepth) }}</td>
              <td class="right">{{ reader.print(job.figures.sets) }}</td>
              <td class="right">{{ reader.print(job.figures.actual) }}</td>
              <td class="right">{{ reader.print(job.figures.predicted) }}</td>
              <td class="right">
                <b>{{ reader.print(job.figures.ratio) }}</b>
              </td>
              <td v-if="mayEdit" class="no-print">
                <div class="row-acts">
                  <button v-if="job.leftOutBecause" type="button" class="act" @click="leaveOut(job, '')">
                    {{ t('past.countAgain') }}<span class="visually-hidden"> {{ job.name }}</span>
                  </button>
                  <form
                    v-else-if="reasons[job.id] !== undefined"
                    @submit.prevent="leaveOut(job, reasons[job.id] ?? '')"
                  >
                    <input
                      v-model="reasons[job.id]"
                      class="input"
                      :aria-label="t('past.reason')"
                      :placeholder="t('past.reason')"
                      maxlength="300"
                      required
                      @keydown.esc="delete reasons[job.id]"
                    />
                  </form>
                  <button v-else type="button" class="act" @click="reasons[job.id] = ''">
                    {{ t('past.leave') }}<span class="visually-hidden"> {{ job.name }}</span>
                  </button>
                  <button type="button" class="act" @click="off.takeOff(job.id, job.name)">
                    {{ t('past.remove') }}<span class="visually-hidden"> {{ job.name }}</span>
                  </button>
                </div>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
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
.row-acts .act {
  min-height: 0;
}
.crews {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 18px 26px;
}
article h2 {
  margin: 0;
}
article p {
  margin: 0;
}
.factor {
  font: 650 1.3rem var(--head);
}
.factor .small {
  margin-left: 8px;
  font: 400 var(--text-s) var(--body);
}
.legend {
  margin: 8px 0 20px;
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
  gap: 10px;
  margin: 18px 0 10px;
}
.fault:empty {
  display: none;
}
.import {
  border-left: 4px solid var(--line);
  padding-left: 12px;
  margin-bottom: 14px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 7px 12px 7px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead th {
  font: 600 var(--text-s) var(--body);
  color: var(--ink-2);
}
.right {
  text-align: right;
  white-space: nowrap;
}
.why {
  display: block;
}
.out td,
.out th {
  color: var(--ink-2);
}
.row-acts {
  display: flex;
  gap: 10px;
  white-space: nowrap;
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
