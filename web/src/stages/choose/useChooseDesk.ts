import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { onTop, useChoose } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'

export type Candidate = Schemas['CandidateAnswer']
type Answered = Schemas['ChoiceOfSurface']

/** The choice being made: what is asked of the core, what is kept with the surface and the job, and what was refused. */
export function useChooseDesk(job: () => string, surface: () => string) {
  const queries = useQueryClient()
  const reader = useReader()
  const choice = useChoose(surface)
  const { byField } = useProblems()
  const fault = ref('')
  const busy = ref(false)

  watch(surface, () => (fault.value = ''))

  const at = () => ({ params: { path: { id: surface() } } })
  const version = () => choice.data.value?.version ?? 0
  const body = (fields: Record<string, string>, of: number | null) => ({ version: of, units: reader.units, fields })

  // The answer stands at once; everything else that shows the surface asks anew.
  function shown(answer: Answered) {
    queries.setQueryData(['surface', surface(), 'choose'], answer)
    void queries.invalidateQueries({
      predicate: ({ queryKey: [kind, id, what] }) =>
        (kind === 'surface' && what !== 'choose') || (kind === 'job' && id === job()) || kind === 'jobs',
    })
  }

  async function keep(save: () => Promise<unknown>) {
    busy.value = true
    try {
      await onTop(save, () => choice.refetch())
      fault.value = ''
    } catch (cause) {
      fault.value = Object.values(byField(cause))[0] ?? ''
    } finally {
      busy.value = false
    }
  }

  const post = (candidateId: string, reason = '') =>
    ask(api.POST('/api/surfaces/{id}/choose', { ...at(), body: { version: version(), candidateId, reason } }))

  return {
    choice,
    fault,
    busy,
    answer: computed(() => choice.data.value?.answer ?? null),
    pick: (candidate: Candidate, reason = '') => keep(async () => shown(await post(candidate.id, reason))),
    takeBack: () =>
      keep(async () =>
        shown(await ask(api.POST('/api/surfaces/{id}/choose/back', { ...at(), body: { version: version() } }))),
      ),
    sayFact: (fields: Record<string, string>) =>
      keep(async () =>
        shown(await ask(api.PATCH('/api/surfaces/{id}/choose/facts', { ...at(), body: body(fields, version()) }))),
      ),
    sayOfJob: (fields: Record<string, string>) =>
      keep(async () => {
        await ask(
          api.PATCH('/api/jobs/{id}', {
            params: { path: { id: job() } },
            body: body(fields, choice.data.value?.jobVersion ?? null),
          }),
        )
        await choice.refetch()
        void queries.invalidateQueries({ queryKey: ['job', job()] })
        void queries.invalidateQueries({
          predicate: ({ queryKey: [kind, , what] }) => kind === 'surface' && what !== 'choose',
        })
      }),
  }
}
