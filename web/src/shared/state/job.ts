import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { putSurface } from '../keeping/records/surface'
import { useReader } from './reader'

export type Surface = Schemas['SurfaceAnswer']

type Id = MaybeRefOrGetter<string>

const path = (id: Id) => ({ params: { path: { id: toValue(id) } } })

// What is out of date when the list is read is made anew meanwhile.
export const useJobs = () =>
  useQuery({
    queryKey: ['jobs'],
    queryFn: () => ask(api.GET('/api/jobs')),
    refetchInterval: (jobs) => (jobs.state.data?.some((card) => !card.upToDate) ? 1500 : false),
  })

export const useChoices = () =>
  useQuery({ queryKey: ['choices'], queryFn: () => ask(api.GET('/api/choices')), staleTime: 600_000 })

export const useBoard = (id: Id) =>
  useQuery({
    queryKey: ['job', id, 'board'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/board', path(id))),
    refetchInterval: 60_000,
    // Eight hundred lines are read whenever one scrolls; nothing writes into them.
    shallow: true,
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

/** Adds surfaces to a job, removes them and brings them back, and tells every screen that shows them. */
export function useSurfaceList(jobId: Id) {
  const queries = useQueryClient()
  const reader = useReader()
  const changed = () => queries.invalidateQueries({ queryKey: ['job', toValue(jobId)] })

  return {
    async add(fields: Record<string, string>) {
      const [job, body] = [toValue(jobId), { id: v7(), version: null, units: reader.units, fields }]
      const surface = await ask(api.POST('/api/jobs/{id}/surfaces', { ...path(job), body }))
      putSurface(queries, job, surface)
      void queries.invalidateQueries({ queryKey: ['job', job, 'board'] })
      void queries.invalidateQueries({ queryKey: ['jobs'], refetchType: 'none' })
      return surface
    },
    async remove(surface: { id: string }) {
      await ask(api.DELETE('/api/surfaces/{id}', path(surface.id)))
      await changed()
    },
    async restore(surface: { id: string }) {
      await ask(api.POST('/api/surfaces/{id}/restore', path(surface.id)))
      await changed()
    },
  }
}
