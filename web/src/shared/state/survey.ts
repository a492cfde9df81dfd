import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { once } from '../api/once'
import { listTaken } from '../keeping/records/survey'
import { useReader } from './reader'

type Id = MaybeRefOrGetter<string>
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

/** Adds to a job's survey and removes from it: puts the answer where it is shown, and has what follows from it asked anew. */
export function useSurveyEdits(job: Id) {
  const queries = useQueryClient()
  const reader = useReader()

  async function did<T>(key: string, answer: Promise<T>): Promise<T> {
    const mine = toValue(job)
    const value = await answer
    listTaken(queries, mine, key, value)
    return value
  }

  return {
    /** Makes something of the job from typed fields. */
    made: <T>(key: string, fields: Record<string, string>, send: (body: Schemas['TypedEdit']) => Promise<T>) =>
      did(
        key,
        once(`${toValue(job)} ${key}`, fields, (id) => send({ id, version: null, units: reader.units, fields })),
      ),
    did,
    /** For answers that are not what a list shows. */
    then: <T>(answer: Promise<T>) => did('', answer),
  }
}
