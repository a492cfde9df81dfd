<script setup lang="ts">
import { computed, defineAsyncComponent, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import { useBoard } from '@/shared/state/job'
import { useClock } from '@/shared/state/clock'
import { usePapers } from '@/shared/state/papers'
import { useReader } from '@/shared/state/reader'
import { useTimesIn } from '@/shared/state/times'
import FindingLine from '@/shared/ui/FindingLine.vue'
import PapersMade from '@/shared/ui/PapersMade.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import ProveFrame from '../ProveFrame.vue'
import { useProof } from '../useProof'
import AirForm from './AirForm.vue'
import { leftOf } from './countdown'
import { useReEntry } from './useReEntry'

/** When do people come back inside? By the last trigger of the log, the sheet, and the ventilation that ran. */
const props = defineProps<{ job: string; surface: string }>()
const DilutionChart = defineAsyncComponent(() => import('./DilutionChart.vue'))
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const board = useBoard(() => props.job)
const proof = useProof(
  () => props.job,
  () => props.surface,
)
const { locked } = proof
const told = useReEntry(() => props.job)
const entry = computed(() => told.data.value?.answer)
const times = useTimesIn(() => told.data.value?.timeZone)
const papers = usePapers(() => props.job)
const clock = useClock(1_000)

const head = computed(() => entry.value?.findings[0])
const isSprayed = computed(() => head.value?.case !== 'unsprayed')
const left = computed(() => leftOf(entry.value?.at, clock.value))
// That it is over only the server says: meanwhile somebody can have switched the ventilation off.
const isOver = computed(() => head.value?.case === 'over')
watch(left, (now, before) => before && !now && void told.refetch())
const when = computed(() => {
  const at = entry.value?.at
  if (!at) return t('prove.reEntry.never')
  return isOver.value ? t('prove.reEntry.over', { when: times.hour(at) }) : times.hour(at)
})
const facts = computed(() => {
  const now = entry.value
  if (!now?.lastTrigger) return []
  return [
    t('prove.reEntry.last', { when: times.hour(now.lastTrigger) }),
    now.wanted
      ? t('prove.reEntry.counted', { counted: reader.print(now.counted), wanted: reader.print(now.wanted) })
      : '',
    now.earliestBySheet ? t('prove.reEntry.by', { when: times.hour(now.earliestBySheet) }) : '',
    now.product && now.sheetWords ? writing.labelled(now.product, now.sheetWords) : '',
  ].filter(Boolean)
})
// What was ticked a moment ago is seen at once, sent or not.
const CLEARANCES = ['waste', 'drums', 'masks', 'covers'] as const
const clearances = computed(() =>
  CLEARANCES.map((item) => ({
    item,
    done:
      (told.data.value?.question.accounted?.includes(item) ?? false) ||
      proof.waitsFor('accountedFor', 'accounted', item) !== undefined,
  })),
)
const name = computed(() => board.data.value?.job.name ?? '')
</script>

<template>
  <ProveFrame :job="job" :surface="surface" route="proveReEntry" :proof="proof" :findings="entry?.findings.slice(1)">
    <ProblemNote v-if="told.error.value && !entry" :problem="told.error.value" @retry="told.refetch()" />
    <ElSkeleton v-else-if="!entry || !head" :rows="6" animated />
    <template v-else>
      <h2>{{ writing.labelled(t('prove.reEntry.title'), name) }}</h2>
      <ProblemNote v-if="told.error.value" :problem="told.error.value" @retry="told.refetch()" />
      <FindingLine v-if="!isSprayed" :finding="head" detail />
      <template v-else>
        <div class="when" :class="isOver ? 'over' : 'open'" role="status">
          <VerdictMark :verdict="isOver ? 'clear' : 'hold'" :size="34" />
          <b>{{ when }}</b>
          <span v-if="left" class="left">{{ t('prove.reEntry.left', { time: left }) }}</span>
        </div>
        <FindingLine :finding="head" detail />
        <p v-for="fact in facts" :key="fact" class="small">{{ fact }}</p>
      </template>
      <AirForm
        :surface="surface"
        :told="told.data.value!"
        :place="proof.place"
        :locked="locked"
        @say="proof.say($event)"
      />
      <section v-if="isSprayed">
        <h2>{{ t('prove.reEntry.accounted') }}</h2>
        <ul class="ticks">
          <li v-for="{ item, done } in clearances" :key="item">
            <ElCheckbox
              :model-value="done"
              :disabled="locked || done"
              @change="proof.say({ kind: 'accountedFor', accounted: item })"
              >{{ t(`prove.clearance.${item}`) }}</ElCheckbox
            >
          </li>
        </ul>
      </section>
      <DilutionChart v-if="entry.dilution.length > 1" :points="entry.dilution" :times="times" />
      <section class="door">
        <h2>{{ t('prove.reEntry.door') }}</h2>
        <p class="small">{{ t('prove.reEntry.doorLead') }}</p>
        <ElButton
          class="large"
          :disabled="papers.busy.value || papers.waits.value"
          @click="papers.make({ kind: 'door' }, 'pdf')"
          >{{ t('prove.reEntry.print') }}</ElButton
        >
        <p v-if="papers.fault.value" class="fault" role="alert">{{ papers.fault.value }}</p>
        <PapersMade :job="job" :kinds="['door']" @again="papers.again" />
      </section>
    </template>
    <template #side>
      <section class="safety small">
        <h2>{{ t('prove.reEntry.safetyTitle') }}</h2>
        <p>{{ t('prove.reEntry.safety') }}</p>
      </section>
    </template>
  </ProveFrame>
</template>

<style scoped>
.when {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  border-left: 6px solid var(--hold);
  background: var(--sheet);
  padding: 12px 16px;
  margin-bottom: 10px;
}
.when.over {
  border-color: var(--clear);
}
.when b {
  font: 650 1.8rem var(--head);
}
.left {
  font: 600 1.2rem var(--head);
  font-variant-numeric: tabular-nums;
}
p.small {
  margin: 2px 0;
}
h2 {
  margin-bottom: 8px;
}
.ticks {
  list-style: none;
  padding: 0;
  margin: 0;
}
.ticks :deep(.el-checkbox) {
  min-height: 48px;
  height: auto;
  white-space: normal;
}
.large {
  min-height: 48px;
}
.door {
  margin-top: 18px;
}
.safety h2 {
  font-size: 1rem;
}
</style>
