import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '../api/client'
import { keepEdit, type Seen } from '../keeping/records'
import { useReader } from './reader'

type Id = MaybeRefOrGetter<string>
type Fields = Record<string, string>
const path = (id: Id) => ({ params: { path: { id: toValue(id) } } })
const given = (id: Id) => computed(() => toValue(id) !== '')

export const useJoints = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'joints'], queryFn: () => ask(api.GET('/api/jobs/{id}/joints', path(job))) })

export const useComplaints = (job: Id) =>
  useQuery({
    queryKey: ['job', job, 'complaints'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/complaints', path(job))),
  })

export const useBuilding = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'building'], queryFn: () => ask(api.GET('/api/jobs/{id}/building', path(job))) })

export const usePreparation = (job: Id) =>
  useQuery({
    queryKey: ['job', job, 'preparation'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/preparation', path(job))),
  })

export const useFanTests = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'fan'], queryFn: () => ask(api.GET('/api/jobs/{id}/fan-tests', path(job))) })

export const useThermal = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'thermal'], queryFn: () => ask(api.GET('/api/jobs/{id}/thermal', path(job))) })

export const useLogs = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'logs'], queryFn: () => ask(api.GET('/api/jobs/{id}/logs', path(job))) })

export const usePhotos = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'photos'], queryFn: () => ask(api.GET('/api/jobs/{id}/photos', path(job))) })

export const useTemplates = () => useQuery({ queryKey: ['templates'], queryFn: () => ask(api.GET('/api/templates')) })

export const useNotes = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'notes'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/notes', path(surface))),
    enabled: given(surface),
  })

export const useDrive = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'drive'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/drive', path(surface))),
    enabled: given(surface),
  })

export const useSketch = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'sketch'],
    queryFn: async () => (await ask(api.GET('/api/surfaces/{id}/sketch', path(surface)))) ?? null,
    enabled: given(surface),
  })

/** Changes a record of a job's survey: puts the answer where it is shown, and has everything that follows from it asked anew. */
export function useSurveyEdits(job: Id) {
  const queries = useQueryClient()
  const reader = useReader()

  async function did<T>(key: string, answer: Promise<T>): Promise<T> {
    const mine = toValue(job)
    const value = await answer
    queries.setQueryData(['job', mine, key], value)
    stale(mine, key)
    return value
  }

  return {
    body: (fields: Record<string, string>, version: number | null = null) => ({ version, units: reader.units, fields }),
    did,
    /**
     * How fields of one record of a list are kept, as it is seen now: on top of what others changed on it meanwhile.
     * @param key The list, which the answer holds whole.
     * @param listIn The records in such an answer; a refusal holds the one record alone.
     */
    record<T>(
      key: string,
      seen: { id: string; version: number },
      send: (id: string, body: { version: number | null; units: typeof reader.units; fields: Fields }) => Promise<T>,
      listIn: (answer: T) => readonly { id: string; version: number }[],
    ) {
      const of: Seen = { kind: key, ...seen }
      const versionIn = (answer: unknown) =>
        (answer as { id?: string }).id === seen.id
          ? (answer as { version: number }).version
          : listIn(answer as T).find((one) => one.id === seen.id)?.version
      return (fields: Fields) => {
        const units = reader.units
        const sending = {
          send: (version: number | null) => send(seen.id, { version, units, fields }),
          versionIn,
          onTop: true,
        }
        return did(key, keepEdit(of, sending))
      }
    },
    /** For answers that are not what a list shows. */
    async then<T>(answer: Promise<T>): Promise<T> {
      const mine = toValue(job)
      const value = await answer
      stale(mine, '')
      return value
    },
  }

  function stale(mine: string, but: string) {
    void queries.invalidateQueries({
      predicate: ({ queryKey: [kind, id, what] }) =>
        kind === 'surface' || kind === 'jobs' || (kind === 'job' && id === mine && what !== but),
    })
  }
}
