import { useQuery } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../shared/api/client'
import { useSession } from '../shared/state/session'

export type FirstStep = Schemas['FirstStep']

/** How far the firm has set itself up; asked for whoever may name it and price for it. */
export function useFirstSteps() {
  const session = useSession()
  return useQuery({
    queryKey: ['firstSteps'],
    queryFn: () => ask(api.GET('/api/first-steps')),
    enabled: () => session.may('price'),
    // What was set up on another page is done when one comes back.
    refetchOnMount: 'always',
  })
}
