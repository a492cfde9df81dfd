<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useBoard } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import DataTable from '@/shared/ui/DataTable.vue'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import type { Column } from '@/shared/ui/dataTable'
import { linesOf } from './lines'

/** Every surface of a job weighed: what is advised, the next best, what would turn it, and the envelope as a whole. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const words = useCandidateText()
const board = useBoard(() => props.job)
const lines = ref<Schemas['ChoiceLine'][]>([])
const problem = ref<unknown>(null)
const running = ref(false)
let stopper: AbortController | null = null

async function weigh() {
  stopper = new AbortController()
  lines.value = []
  problem.value = null
  running.value = true
  try {
    for await (const line of linesOf(props.job, stopper.signal)) lines.value.push(line)
  } catch (cause) {
    if (!stopper.signal.aborted) problem.value = cause
  } finally {
    running.value = false
  }
}
onMounted(weigh)
onBeforeUnmount(() => stopper?.abort())

const all = computed(() => board.data.value?.rows.length ?? 0)
// Each line carries the sum of all before it, from the core.
const envelope = computed(() => lines.value.at(-1)?.envelope ?? null)
const first = computed(() => board.data.value?.rows[0]?.id ?? '')

const turn = (line: Schemas['ChoiceLine']) =>
  line.nearest
    ? t(`choose.flip.${line.nearest.input}.${line.nearest.above ? 'above' : 'below'}`, {
        at: reader.print(line.nearest.at),
        apart: reader.print(line.nearest.apart),
        winner: words.kind(line.nearest.winnerKind).toLowerCase(),
      })
    : '–'

// What stands before a system that is not simply advised.
const marks: Partial<Record<string, string>> = { allFail: 'choose.failsDamp', drynessUnknown: 'choose.drynessUnknown' }
type Line = Schemas['ChoiceLine']
const cost = computed((): Column<Line> => ({
  key: 'cost',
  label: t('choose.col.cost'),
  text: (line) => reader.print(line.cost) || '–',
  figure: true,
}))
const columns = computed((): Column<Line>[] => [
  { key: 'surface', label: t('choose.col.surface') },
  { key: 'advised', label: t('choose.col.advised'), long: true },
  ...(session.may('price') ? [cost.value] : []),
  {
    key: 'next',
    label: t('choose.col.next'),
    text: (line) => (line.runnerUp ? words.kind(line.runnerUp) : '–'),
  },
  { key: 'turn', label: t('choose.col.turn'), text: turn, class: 'small', long: true },
  { key: 'state', label: t('choose.col.state') },
])
</script>

<template>
  <StageFrame :job="job" :surface="first" stage="choose" wide>
    <h1>{{ t('choose.allTitle') }}</h1>
    <p class="quiet">{{ t('choose.allLead') }}</p>
    <div class="progress no-print" role="status">
      <ElProgress
        class="bar"
        :percentage="all ? (100 * lines.length) / all : 0"
        :show-text="false"
        :aria-label="t('choose.allTitle')"
      />
      <span>{{
        t(running || lines.length === all ? 'choose.allProgress' : 'choose.stopped', { done: lines.length, all })
      }}</span>
      <ElButton v-if="running" link type="primary" @click="stopper?.abort()">{{ t('choose.stop') }}</ElButton>
      <ElButton v-else link type="primary" @click="weigh">{{ t('choose.again') }}</ElButton>
    </div>
    <ProblemNote v-if="problem" :problem="problem as Error" @retry="weigh" />
    <DataTable
      v-if="lines.length"
      :label="t('choose.allTitle')"
      :columns="columns"
      :rows="lines"
      :by="(line) => line.id"
    >
      <template #surface="{ row: line }">
        <RouterLink class="act" :to="{ name: 'choose', params: { job, surface: line.id } }">{{ line.name }}</RouterLink>
      </template>
      <template #advised="{ row: line }">
        <template v-if="line.advised">
          <i18n-t v-if="marks[line.advice]" keypath="writing.labelled" scope="global">
            <template #label
              ><span class="small fails">{{ t(marks[line.advice]!) }}</span></template
            >
            <template #value
              ><b>{{ words.kind(line.advised) }}</b></template
            >
          </i18n-t>
          <b v-else>{{ words.kind(line.advised) }}</b>{{ ' '
          }}<span class="small quiet">{{ words.layers(line.layers) }}</span>
        </template>
        <template v-else>–</template>
      </template>
      <template #state="{ row: line }">
        <VerdictMark v-if="line.held" verdict="hold" :size="15" />
        {{ line.chosen ? t('choose.decided') : t('choose.undecided') }}
      </template>
    </DataTable>
    <template #side>
      <section>
        <h2>{{ t('choose.tradeOff') }}</h2>
        <p v-if="!envelope">{{ t('choose.tradeOffNone') }}</p>
        <p v-else class="sum">
          <VerdictMark :verdict="envelope.meets ? 'clear' : 'care'" :size="18" />
          {{
            t(envelope.meets ? 'choose.tradeOffMet' : 'choose.tradeOffOver', {
              loss: reader.print(envelope.loss),
              allowed: reader.print(envelope.allowed),
            })
          }}
        </p>
        <p class="small quiet">{{ t('choose.tradeOffNote') }}</p>
      </section>
    </template>
  </StageFrame>
</template>

<style scoped>
.progress {
  display: flex;
  gap: 14px;
  align-items: center;
  margin: 10px 0;
}
.sum {
  display: flex;
  gap: 8px;
  align-items: center;
}
.bar {
  width: 200px;
}
</style>
