<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useDays } from '@/shared/state/times'
import TypeIn from '@/shared/typing/TypeIn.vue'
import DataTable from '@/shared/ui/DataTable.vue'
import type { Column } from '@/shared/ui/dataTable'

/** Finished jobs line by line; one can be left out with a reason, and counted again. */
type Job = Schemas['PastJobAnswer']
const props = defineProps<{
  jobs: readonly Job[]
  mayEdit: boolean
  leaveOut: (job: Job, reason: string) => Promise<boolean>
}>()
const emit = defineEmits<{ off: [job: Job] }>()
const { t } = useI18n()
const reader = useReader()
const reasons = ref<Record<string, string>>({})
const day = useDays()

async function leave(job: Job, reason: string) {
  if (await props.leaveOut(job, reason)) delete reasons.value[job.id]
}
const FIGURES = { substrate: 'substrate', depth: 'meanDepth', sets: 'sets', actual: 'actual', predicted: 'predicted' }
const columns = computed((): Column<Job>[] => [
  { key: 'job', label: t('past.col.job') },
  { key: 'crew', label: t('past.col.crew'), text: (job) => job.crew },
  { key: 'product', label: t('past.col.product'), text: (job) => job.sheet || job.sheetId },
  { key: 'finished', label: t('past.col.finished'), text: (job) => day(job.finishedOn) },
  ...Object.entries(FIGURES).map(([key, figure]) => ({
    key,
    label: t(`past.col.${key}`),
    text: (job: Job) => reader.print(job.figures[figure]),
    figure: true,
  })),
  { key: 'ratio', label: t('past.col.ratio'), figure: true },
  ...(props.mayEdit ? [{ key: 'acts', label: '', onScreenOnly: true }] : []),
])
</script>

<template>
  <DataTable
    :label="t('past.title')"
    :columns="columns"
    :rows="jobs"
    :by="(job) => job.id"
    :row-class="(job) => (job.leftOutBecause ? 'out' : '')"
  >
    <template #job="{ row: job }">
      {{ job.name }}
      <RouterLink v-if="job.jobId" class="small why" :to="{ name: 'board', params: { job: job.jobId } }">{{
        t('past.fromLog')
      }}</RouterLink>
      <span v-if="job.leftOutBecause" class="small quiet why">{{
        t('past.leftOut', { reason: job.leftOutBecause })
      }}</span>
      <span v-else-if="job.winsorised" class="small quiet why">{{ t('past.winsorised') }}</span>
      <span v-else-if="!job.sheet" class="small quiet why">{{ t('past.noSheet') }}</span>
    </template>
    <template #ratio="{ row: job }">
      <b>{{ reader.print(job.figures.ratio) }}</b>
    </template>
    <template #acts="{ row: job }">
      <div class="row-acts">
        <ElButton v-if="job.leftOutBecause" link type="primary" @click="leave(job, '')">
          {{ t('past.countAgain') }}<span class="visually-hidden"> {{ job.name }}</span>
        </ElButton>
        <form v-else-if="reasons[job.id] !== undefined" @submit.prevent="leave(job, reasons[job.id] ?? '')">
          <TypeIn
            v-model="reasons[job.id]"
            :aria-label="t('past.reason')"
            :placeholder="t('past.reason')"
            maxlength="300"
            required
            @keydown.esc="delete reasons[job.id]"
          />
        </form>
        <ElButton v-else link type="primary" @click="reasons[job.id] = ''">
          {{ t('past.leave') }}<span class="visually-hidden"> {{ job.name }}</span>
        </ElButton>
        <ElButton v-if="!job.jobId" link type="primary" @click="emit('off', job)">
          {{ t('past.remove') }}<span class="visually-hidden"> {{ job.name }}</span>
        </ElButton>
      </div>
    </template>
  </DataTable>
</template>

<style scoped>
.why {
  display: block;
}
.row-acts {
  display: flex;
  gap: 10px;
  white-space: nowrap;
}
</style>
