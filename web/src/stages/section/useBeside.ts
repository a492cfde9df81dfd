import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { sectionAsked, sectionAtOnce } from '@/shared/core/computeSection'
import { useProblems } from '@/shared/figures/problems'
import { useChoose } from '@/shared/state/job'
import { between } from './useSeason'

/** A system drawn beside the one at hand. */
export interface Beside {
  name: string
  answer: Schemas['SectionAnswer']
}

/** Another system of the choose stage beside the section: the candidates are asked for only once somebody wants to compare. */
export function useBeside(
  job: () => string,
  surface: () => string,
  nameOf: (candidate: Schemas['CandidateAnswer']) => string,
  air: Ref<Schemas['AirShape'] | null>,
) {
  const wanted = ref(false)
  const pickedId = ref('')
  const beside = ref<Beside | null>(null)
  const fault = ref('')
  const { general } = useProblems()
  const choice = useChoose(surface, wanted)

  const candidates = computed(() => choice.data.value?.answer.candidates ?? [])
  const picked = computed(() => candidates.value.find((one) => one.id === pickedId.value) ?? null)

  watch(surface, () => (pickedId.value = ''))
  const answerTo = async (question: Schemas['SectionQuestion']) =>
    sectionAtOnce(question) ?? (await sectionAsked(question, job()))
  watch([picked, air], async ([candidate, season]) => {
    fault.value = ''
    if (!candidate) return (beside.value = null)
    const { question } = candidate
    try {
      const judged = await answerTo(question)
      const answer = season
        ? between(judged, await answerTo({ ...question, ...season, year: null, brief: true }))
        : judged
      if (picked.value?.id !== candidate.id || air.value !== season) return
      beside.value = { name: nameOf(candidate), answer }
    } catch (cause) {
      fault.value = general(cause)
    }
  })

  return { wanted, pickedId, beside, fault, candidates, problem: choice.error }
}
