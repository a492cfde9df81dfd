import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '@/shared/api/client'

/** How the material of a job lasts and what was done at it; asked for again whenever something was logged. */
export function useJobSpray(job: MaybeRefOrGetter<string>, logged: MaybeRefOrGetter<number>) {
  const told = useQuery({
    queryKey: ['job', job, 'spray'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/spray', { params: { path: { id: toValue(job) } } })),
    enabled: computed(() => toValue(job) !== ''),
    placeholderData: (before, query) => (query?.queryKey[1] === toValue(job) ? before : undefined),
  })
  watch(
    () => toValue(logged),
    (_, before) => before && void told.refetch(),
  )
  return told
}
