import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { keepEdit, versionOf } from '../keeping/records'
import { useReader } from './reader'

export type Surface = Schemas['SurfaceAnswer']

type Id = MaybeRefOrGetter<string>
type SeenSurface = { id: string; version: number }

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

/** Changes surfaces of a job, and tells every screen that shows them. */
export function useSurfaceEdits(jobId: Id) {
  const queries = useQueryClient()
  const reader = useReader()

  function put(surface: Surface, job = toValue(jobId)) {
    queries.setQueryData<Surface[]>(['job', job, 'surfaces'], (rows) =>
      rows?.some((row) => row.id === surface.id)
        ? rows.map((row) => (row.id === surface.id ? surface : row))
        : [...(rows ?? []), surface],
    )
    void queries.invalidateQueries({ queryKey: ['job', job, 'board'] })
    void queries.invalidateQueries({ queryKey: ['surface', surface.id] })
    void queries.invalidateQueries({ queryKey: ['jobs'], refetchType: 'none' })
    return surface
  }

  function kept(surface: SeenSurface, onTop: boolean, ask: (version: number | null) => Promise<Surface>) {
    const job = toValue(jobId)
    const seen = { kind: 'surface', id: surface.id, version: surface.version }
    // Shown before the next edit of the surface goes out.
    const send = async (version: number | null) => put(await ask(version), job)
    return keepEdit(seen, { send, versionIn: versionOf, onTop })
  }

  return {
    put,
    /** Changes a surface as it was seen; on top of what others changed on it meanwhile, or not at all. */
    change(surface: SeenSurface, fields: Record<string, string>, onTop = true) {
      const units = reader.units
      return kept(surface, onTop, (version) =>
        ask(api.PATCH('/api/surfaces/{id}', { ...path(surface.id), body: { version, units, fields } })),
      )
    },
    /** Takes an edit of a surface back, by what its answer gave for that. */
    takeBack: (surface: SeenSurface, undo: string) =>
      kept(surface, false, (version) =>
        ask(api.POST('/api/surfaces/{id}/undo', { ...path(surface.id), body: { version: version ?? 0, undo } })),
      ),
    async add(fields: Record<string, string>) {
      const [job, body] = [toValue(jobId), { version: null, units: reader.units, fields }]
      return put(await ask(api.POST('/api/jobs/{id}/surfaces', { ...path(job), body })), job)
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

/** Changes a job as it was seen. */
export function useJobEdits() {
  const reader = useReader()
  return {
    change(job: { id: string; version: number | null }, fields: Record<string, string>, onTop = true) {
      const units = reader.units
      const send = (version: number | null) =>
        ask(api.PATCH('/api/jobs/{id}', { ...path(job.id), body: { version, units, fields } }))
      return keepEdit({ kind: 'job', ...job }, { send, versionIn: versionOf, onTop })
    },
  }
}
