<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useDays } from '@/shared/state/times'
import TypeIn from '@/shared/typing/TypeIn.vue'

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
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="t('past.title')">
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
              <ElButton link type="primary" @click="emit('off', job)">
                {{ t('past.remove') }}<span class="visually-hidden"> {{ job.name }}</span>
              </ElButton>
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  position: relative;
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
</style>
