import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '@/shared/api/client'

/** When people without protection come back to a building. */
export const useReEntry = (job: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['job', job, 're-entry'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/re-entry', { params: { path: { id: toValue(job) } } })),
    enabled: computed(() => toValue(job) !== ''),
    refetchInterval: 30_000,
  })
