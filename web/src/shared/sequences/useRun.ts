import { useQuery } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { answerHere } from '../core/browserCore'
import { useBrowserCore } from '../core/computeSection'
import { shelf, type Entry } from '../keeping/entries'
import { nowMs } from '../state/clock'

type Question = Schemas['SequenceQuestion']
type Answer = Schemas['SequenceAnswer']
type Mark = Schemas['StepMarkAsked']

const SKIP = 'skip:'

/** A sequence that is run, with what was said of it on this device and has not been sent yet. */
export function useRun(id: () => string) {
  const run = useQuery({
    queryKey: ['run', id],
    queryFn: () => ask(api.GET('/api/sequence-runs/{id}', { params: { path: { id: id() } } })),
    // Others are at the same sequence.
    refetchInterval: 5_000,
  })
  useBrowserCore(() => run.data.value?.job ?? '')
  const waiting = computed(() =>
    Object.entries(shelf.value.of(`sequenceMark.${id()}`)).filter(([, entry]) => entry.state === 'waits'),
  )
  const question = computed<Question | undefined>(() => {
    const told = run.data.value?.question
    return told && { ...told, marks: withWaiting(told.marks ?? [], waiting.value) }
  })

  // Asked again when a wait is over, and whenever something is said.
  const turns = ref(0)
  const answer = computed<Answer | undefined>(() => {
    void turns.value
    if (!run.data.value || !question.value) return undefined
    const asked = { ...question.value, now: new Date(nowMs()).toISOString() }
    const here = answerHere('sequence', asked)
    return here ? (JSON.parse(here) as Answer) : overlaid(run.data.value.answer, waiting.value)
  })
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    () => answer.value?.nextAt,
    (next) => {
      clearTimeout(timer)
      if (next) timer = setTimeout(over, Math.max(0, Date.parse(next) - nowMs()) + 50)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  function over() {
    turns.value++
    void run.refetch()
  }

  return {
    run,
    answer,
    marks: computed(() => question.value?.marks ?? []),
    waits: computed(() => waiting.value.length),
  }
}

type Waiting = [step: string, entry: Entry][]

function withWaiting(marks: readonly Mark[], waiting: Waiting): Mark[] {
  const said = new Set(waiting.map(([step]) => step))
  const added = waiting
    .filter(([, { text }]) => text !== 'open')
    .map(([step, { text, at }]) => ({
      step,
      at: new Date(at).toISOString(),
      by: '',
      skippedBecause: text.startsWith(SKIP) ? text.slice(SKIP.length).trim() : null,
    }))
  return [...marks.filter((mark) => !said.has(mark.step)), ...added]
}

// Until the core is here the steps themselves show what was said; what waited for them opens with the server's answer.
function overlaid(answer: Answer, waiting: Waiting): Answer {
  const said = new Map(waiting)
  const stateOf = (step: Schemas['StepAnswer']): Schemas['StepState'] => {
    const text = said.get(step.id)?.text
    if (text === undefined) return step.state
    return text === 'open' ? 'open' : text.startsWith(SKIP) ? 'skipped' : 'done'
  }
  return { ...answer, steps: answer.steps.map((step) => ({ ...step, state: stateOf(step) })) }
}
