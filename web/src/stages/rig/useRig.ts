import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask } from '@/shared/api/client'

/** How a rig is set for a surface, what it reaches and what its test shots say. */
export const useRig = (surface: MaybeRefOrGetter<string>, rig: MaybeRefOrGetter<string | undefined>) =>
  useQuery({
    queryKey: ['surface', surface, 'rig', rig],
    queryFn: () =>
      ask(
        api.GET('/api/surfaces/{id}/rig', {
          params: { path: { id: toValue(surface) }, query: { rig: toValue(rig) } },
        }),
      ),
    enabled: computed(() => toValue(surface) !== ''),
    // Of another surface nothing is shown meanwhile.
    placeholderData: (before, query) => (query?.queryKey[1] === toValue(surface) ? before : undefined),
    // Others are at the same rig.
    refetchInterval: 15_000,
  })
