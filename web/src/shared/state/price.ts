import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '../api/client'

type Id = MaybeRefOrGetter<string>

const path = (id: Id) => ({ params: { path: { id: toValue(id) } } })

export const usePrice = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'price'], queryFn: () => ask(api.GET('/api/jobs/{id}/price', path(job))) })

export const useOrder = (job: Id) =>
  useQuery({ queryKey: ['job', job, 'order'], queryFn: () => ask(api.GET('/api/jobs/{id}/order', path(job))) })

const ofSurface = (id: Id) => ({ enabled: computed(() => toValue(id) !== '') })

export const useColdRoutes = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'coldRoutes'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/cold-routes', path(surface))),
    ...ofSurface(surface),
  })

export const useInchLedger = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'inchLedger'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/inch-ledger', path(surface))),
    ...ofSurface(surface),
  })

export const useKits = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'kits'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/kits', path(surface))),
    ...ofSurface(surface),
  })

export const useAlternatives = (surface: Id) =>
  useQuery({
    queryKey: ['surface', surface, 'alternatives'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/alternatives', path(surface))),
    ...ofSurface(surface),
  })

export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => ask(api.GET('/api/stock')) })

export const usePastJobs = () => useQuery({ queryKey: ['pastJobs'], queryFn: () => ask(api.GET('/api/past-jobs')) })

const ON_MATERIAL: unknown[] = ['job', 'surface', 'jobs', 'stock', 'pastJobs', 'means', 'supplies', 'firstSteps']

/** Whether an answer of the server hangs on material and price, or on what the firm works with. */
export const hangsOnMaterial = (kind: unknown) => ON_MATERIAL.includes(kind)

export const useMeans = () => useQuery({ queryKey: ['means'], queryFn: () => ask(api.GET('/api/means')) })

/** The crews that are offered where one is typed. */
export function useCrewNames() {
  const means = useMeans()
  return computed(() =>
    (means.data.value?.all ?? []).filter((one) => one.kind === 'crew' && !one.retired).map((one) => one.name),
  )
}

/** Puts an answer on the screen at once and lets everything that hangs on material and price ask anew. */
export function useMaterialRefresh() {
  const queries = useQueryClient()
  return (key: readonly unknown[], answer?: unknown) => {
    if (answer !== undefined) queries.setQueryData(key, answer)
    void queries.invalidateQueries({
      predicate: ({ queryKey }) => hangsOnMaterial(queryKey[0]) && JSON.stringify(queryKey) !== JSON.stringify(key),
    })
  }
}

/** Name of a bid's line: a product, a material, or what its key says. */
export const lineKey = (line: Pick<Schemas['BidLineAnswer'], 'key'>) => line.key.split(':')[0]!
