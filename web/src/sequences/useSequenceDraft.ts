import { useQuery } from '@tanstack/vue-query'
import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, ApiProblem, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useRecordForm } from '@/shared/state/typedForm'
import { typedOf, type TypedStep } from './draft'

type Sequence = Schemas['FirmSequenceAnswer']

/** All sequences as the firm runs them. */
export const useSequences = () => useQuery({ queryKey: ['sequences'], queryFn: () => ask(api.GET('/api/sequences')) })

/** A sequence of one kind that is edited: a draft of its steps, and what is wrong with it as it is typed. */
export function useSequenceDraft(sequence: () => Sequence) {
  const { kind } = sequence()
  const reader = useReader()
  const { byField, general } = useProblems()
  const kept = computed(() => JSON.stringify(typedOf(sequence(), (figure) => reader.print(figure))))
  const form = useRecordForm({ kind: 'sequence', id: kind }, ['steps'], () => ({ steps: kept.value }))
  const steps = computed({
    get: () => JSON.parse(form.values.steps!) as TypedStep[],
    set: (now) => (form.values.steps = JSON.stringify(now)),
  })
  const changed = computed(() => form.typed.value.steps !== undefined && form.typed.value.steps !== kept.value)

  const faults = ref<Schemas['SequenceFaultAnswer'][]>([])
  const fieldFaults = ref<Record<string, string>>({})
  const problem = ref('')
  async function check() {
    if (!changed.value) {
      faults.value = []
      fieldFaults.value = {}
      return
    }
    const asked = form.values.steps!
    try {
      const path = { kind }
      const body = { version: null, units: reader.units, fields: { steps: asked } }
      const found = await ask(api.POST('/api/sequences/{kind}/check', { params: { path }, body }))
      if (asked === form.values.steps) [faults.value, fieldFaults.value, problem.value] = [found, {}, '']
    } catch (cause) {
      fieldFaults.value = cause instanceof ApiProblem && cause.faults.length ? byField(cause) : {}
      problem.value = Object.keys(fieldFaults.value).length ? '' : general(cause)
    }
  }
  watchDebounced(() => form.values.steps, check, { debounce: 400, immediate: true })

  return { form, steps, changed, faults, fieldFaults, problem, check }
}
