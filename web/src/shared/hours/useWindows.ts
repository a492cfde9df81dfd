import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '../api/client'

const QUARTER = 15 * 60_000

/** The next window of each surface of a job. */
export const useWindows = (job: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['job', job, 'windows'],
    queryFn: () => ask(api.GET('/api/jobs/{id}/windows', { params: { path: { id: toValue(job) } } })),
    refetchInterval: QUARTER,
    enabled: computed(() => toValue(job) !== ''),
    shallow: true,
  })
