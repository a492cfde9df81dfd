<script setup lang="ts">
import { useSession } from '@/shared/state/session'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { useBoard } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import ProblemNote from '@/shared/ui/ProblemNote.vue'
import StageFrame from '@/shared/ui/StageFrame.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import { linesOf } from './lines'
import { useCandidateText } from '@/shared/figures/candidateText'

/** Every surface of a job weighed: what is advised, the next best, what would turn it, and the envelope as a whole. */
const props = defineProps<{ job: string }>()
const { t } = useI18n()
const reader = useReader()
const session = useSession()
const columns = computed(() =>
  (['surface', 'advised', 'cost', 'next', 'turn', 'state'] as const).filter(
    (col) => col !== 'cost' || session.may('price'),
  ),
)
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
</script>

<template>
  <StageFrame :job="job" :surface="first" stage="choose" wide>
    <h1>{{ t('choose.allTitle') }}</h1>
    <p class="quiet">{{ t('choose.allLead') }}</p>
    <div class="progress no-print" role="status">
      <progress :max="all" :value="lines.length" :aria-label="t('choose.allTitle')" />
      <span>{{
        t(running || lines.length === all ? 'choose.allProgress' : 'choose.stopped', { done: lines.length, all })
      }}</span>
      <ElButton v-if="running" link type="primary" @click="stopper?.abort()">{{ t('choose.stop') }}</ElButton>
      <ElButton v-else link type="primary" @click="weigh">{{ t('choose.again') }}</ElButton>
    </div>
    <ProblemNote v-if="problem" :problem="problem as Error" @retry="weigh" />
    <div class="wide-table">
      <table v-if="lines.length">
        <thead>
          <tr>
            <th v-for="col in columns" :key="col" scope="col" :class="{ num: col === 'cost' }">
              {{ t(`choose.col.${col}`) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.id">
            <th scope="row">
              <RouterLink class="act" :to="{ name: 'choose', params: { job, surface: line.id } }">{{
                line.name
              }}</RouterLink>
            </th>
            <td class="advised">
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
            </td>
            <td v-if="session.may('price')" class="num cost">{{ line.cost ? reader.print(line.cost) : '–' }}</td>
            <td class="next" :data-label="t('choose.col.next')">
              {{ line.runnerUp ? words.kind(line.runnerUp) : '–' }}
            </td>
            <td class="small turn">{{ turn(line) }}</td>
            <td class="state">
              <VerdictMark v-if="line.held" verdict="hold" :size="15" />
              {{ line.chosen ? t('choose.decided') : t('choose.undecided') }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
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
progress {
  accent-color: var(--copper);
  width: 200px;
}
.wide-table {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--line);
}
tbody th {
  font-weight: 400;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.sum {
  display: flex;
  gap: 8px;
  align-items: center;
}
/* On a phone each line becomes a card: six columns would be a finger wide each. */
@media (width <= 700px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tbody tr {
    display: grid;
    grid-template-columns: 1fr auto;
    grid-template-areas: 'surface cost' 'advised state' 'next next' 'turn turn';
    gap: 2px 12px;
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
  tbody th,
  tbody td {
    border: 0;
    padding: 0;
  }
  tbody th {
    grid-area: surface;
  }
  .advised {
    grid-area: advised;
  }
  .cost {
    grid-area: cost;
  }
  .state {
    grid-area: state;
  }
  .next {
    grid-area: next;
  }
  .next::before {
    content: attr(data-label) ': ';
    color: var(--ink-2);
  }
  .turn {
    grid-area: turn;
  }
}
</style>
