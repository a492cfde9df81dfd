import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'

/** Times that are expected of a shot fired as the rig stands. */
export function useExpected(next: MaybeRefOrGetter<Schemas['TestShotQuestion'] | null | undefined>) {
  const asked = useQuery({
    queryKey: ['expectedShot', next],
    queryFn: () => ask(api.POST('/api/compute/test-shot', { body: toValue(next)! })),
    enabled: computed(() => !!toValue(next)),
    placeholderData: (before) => before,
  })
  return computed(() => asked.data.value?.expected)
}
