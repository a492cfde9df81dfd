import { useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, shallowReactive } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { keepEdit, versionOf, type Seen } from '@/shared/keeping/records'
import { useChoose, useJobEdits } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'

export type Candidate = Schemas['CandidateAnswer']
type Answered = Schemas['ChoiceOfSurface']
type Fields = Record<string, string>

/** The choice being made: what is asked of the core, what is kept with the surface and the job, and what was refused. */
export function useChooseDesk(job: () => string, surface: () => string) {
  const queries = useQueryClient()
  const reader = useReader()
  const choice = useChoose(surface)
  const jobs = useJobEdits()
  const { byField } = useProblems()
  const faults = reactive<Record<string, string>>({})
  const underWay = reactive<Record<string, number>>({})
  // What a control was set to and the server has not answered yet: an answer to an earlier setting must not undo it.
  const asked = shallowReactive<Record<string, { text: string }>>({})

  const path = (id: string) => ({ params: { path: { id } } })

  // The answer stands at once; everything else that shows the surface asks anew.
  function shown(of: { job: string; surface: string }, answer: Answered) {
    queries.setQueryData(['surface', of.surface, 'choose'], answer)
    void queries.invalidateQueries({
      predicate: ({ queryKey: [kind, id, what] }) =>
        (kind === 'surface' && what !== 'choose') || (kind === 'job' && id === of.job) || kind === 'jobs',
    })
  }

  async function tried(id: string, work: () => Promise<unknown>) {
    underWay[id] = (underWay[id] ?? 0) + 1
    try {
      await work()
      faults[id] = ''
    } catch (cause) {
      faults[id] = Object.values(byField(cause))[0] ?? ''
    } finally {
      underWay[id]--
    }
  }

  // The surface and what was seen of it are caught when the edit is made, not when it is sent.
  function caught() {
    const of = { job: job(), surface: surface() }
    const seen: Seen = { kind: 'surface', id: of.surface, version: choice.data.value?.version ?? 0 }
    return {
      id: of.surface,
      async keep(send: (id: string, version: number) => Promise<Answered>) {
        const sent = (version: number | null) => send(of.surface, version ?? 0)
        shown(of, await keepEdit(seen, { send: sent, versionIn: versionOf, onTop: true }))
      },
    }
  }

  function keep(send: (id: string, version: number) => Promise<Answered>) {
    const edit = caught()
    return tried(edit.id, () => edit.keep(send))
  }

  const factsOf = (fields: Fields) => {
    const units = reader.units
    return (id: string, version: number) =>
      ask(api.PATCH('/api/surfaces/{id}/choose/facts', { ...path(id), body: { version, units, fields } }))
  }

  /** Sets controls, which stand as they were set until the last setting is answered. */
  async function set(of: string, fields: Fields, work: () => Promise<unknown>) {
    const settings = Object.entries(fields).map(([field, text]) => [`${of}.${field}`, { text }] as const)
    settings.forEach(([name, setting]) => (asked[name] = setting))
    await work()
    for (const [name, setting] of settings) if (asked[name] === setting) delete asked[name]
  }

  async function keepOfJob(fields: Fields) {
    const of = { job: job(), surface: surface() }
    const seen = { id: of.job, version: choice.data.value?.jobVersion ?? null }
    await tried(of.surface, async () => {
      await jobs.change(seen, fields)
      await queries.refetchQueries({ queryKey: ['surface', of.surface, 'choose'] })
      void queries.invalidateQueries({ queryKey: ['job', of.job] })
      void queries.invalidateQueries({
        predicate: ({ queryKey: [kind, , what] }) => kind === 'surface' && what !== 'choose',
      })
    })
  }

  return {
    choice,
    fault: computed(() => faults[surface()] ?? ''),
    busy: computed(() => (underWay[surface()] ?? 0) > 0),
    answer: computed(() => choice.data.value?.answer ?? null),
    /** What a control of the job or of the surface was set to and is not answered yet. */
    asked: (of: 'job' | 'surface', field: string) => asked[`${of === 'job' ? job() : surface()}.${field}`]?.text,
    pick(candidate: Candidate, reason = '') {
      const candidateId = candidate.id
      return keep((id, version) =>
        ask(api.POST('/api/surfaces/{id}/choose', { ...path(id), body: { version, candidateId, reason } })),
      )
    },
    takeBack: () =>
      keep((id, version) => ask(api.POST('/api/surfaces/{id}/choose/back', { ...path(id), body: { version } }))),
    sayFact: (fields: Fields) => set(surface(), fields, () => keep(factsOf(fields))),
    /** What is typed of the surface, where it is more than a tick. */
    typed: useTyped(
      () => `facts.${surface()}`,
      () => {
        const edit = caught()
        return (fields) => edit.keep(factsOf(fields))
      },
    ),
    sayOfJob: (fields: Fields) => set(job(), fields, () => keepOfJob(fields)),
  }
}
