import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ApiProblem, ask, type Schemas } from '../api/client'
import { useReader } from './reader'

export type Surface = Schemas['SurfaceAnswer']

type Id = MaybeRefOrGetter<string>

const path = (id: Id) => ({ params: { path: { id: toValue(id) } } })

export const useJobs = () => useQuery({ queryKey: ['jobs'], queryFn: () => ask(api.GET('/api/jobs')) })

export const useChoices = () =>
  useQuery({ queryKey: ['choices'], queryFn: () => ask(api.GET('/api/choices')), staleTime: 600_000 })

export const useBoard = (id: Id) =>
  useQuery({
    queryKey: ['job', id, 'board'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/board', path(id))),
    refetchInterval: 60_000,
  })

export const useSurfaces = (id: Id) =>
  useQuery({ queryKey: ['job', id, 'surfaces'], queryFn: () => ask(api.GET('/api/jobs/{id}/surfaces', path(id))) })

const ofSurface = (id: Id) => ({ enabled: computed(() => toValue(id) !== '') })

export const useSection = (id: Id) =>
  useQuery({
    queryKey: ['surface', id, 'section'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/section', path(id))),
    ...ofSurface(id),
  })

export const useChoose = (id: Id, wanted: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: ['surface', id, 'choose'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/choose', path(id))),
    ...ofSurface(id),
    enabled: () => toValue(wanted),
  })

export const useFirm = () => useQuery({ queryKey: ['firm'], queryFn: () => ask(api.GET('/api/firm')) })

export const useSets = (id: Id) =>
  useQuery({
    queryKey: ['surface', id, 'sets'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/sets', path(id))),
    ...ofSurface(id),
  })

export const useWindow = (id: Id) =>
  useQuery({
    queryKey: ['surface', id, 'window'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/window', path(id))),
    refetchInterval: 60_000,
    ...ofSurface(id),
  })

/**
 * Saves a field that does not collide with what others change on the same record: where the version moved on meanwhile,
 * the record is fetched anew and the field put on top, once.
 */
export async function onTop<T>(save: () => Promise<T>, refresh: () => Promise<unknown>): Promise<T> {
  try {
    return await save()
  } catch (cause) {
    if (!(cause instanceof ApiProblem) || cause.status !== 409) throw cause
    await refresh()
    return save()
  }
}

/** Changes surfaces of a job, and tells every screen that shows them. */
export function useSurfaceEdits(jobId: Id) {
  const queries = useQueryClient()
  const reader = useReader()

  function put(surface: Surface) {
    queries.setQueryData<Surface[]>(['job', toValue(jobId), 'surfaces'], (rows) =>
      rows?.some((row) => row.id === surface.id)
        ? rows.map((row) => (row.id === surface.id ? surface : row))
        : [...(rows ?? []), surface],
    )
    void queries.invalidateQueries({ queryKey: ['job', toValue(jobId), 'board'] })
    void queries.invalidateQueries({ queryKey: ['surface', surface.id] })
    void queries.invalidateQueries({ queryKey: ['jobs'], refetchType: 'none' })
    return surface
  }

  const edit = (fields: Record<string, string>, version: number | null) => ({ version, units: reader.units, fields })

  return {
    put,
    async change(surface: { id: string; version: number }, fields: Record<string, string>) {
      const body = edit(fields, surface.version)
      return put(await ask(api.PATCH('/api/surfaces/{id}', { ...path(surface.id), body })))
    },
    async add(fields: Record<string, string>) {
      return put(await ask(api.POST('/api/jobs/{id}/surfaces', { ...path(jobId), body: edit(fields, null) })))
    },
    async remove(surface: { id: string }) {
      await ask(api.DELETE('/api/surfaces/{id}', path(surface.id)))
      await queries.invalidateQueries({ queryKey: ['job', toValue(jobId)] })
    },
    async restore(surface: { id: string }) {
      await ask(api.POST('/api/surfaces/{id}/restore', path(surface.id)))
      await queries.invalidateQueries({ queryKey: ['job', toValue(jobId)] })
    },
  }
}
