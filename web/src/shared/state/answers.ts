import { QueryClient, type QueryFilters } from '@tanstack/vue-query'
import { isNoAnswer } from '../api/client'

const ASKED_AGAIN_MS = 4_000

/**
 * The server's answers that the page holds. What was asked for the first time and has not come yet is asked again too when
 * something changed: its answer may be from before the change. Left alone it would be taken for the newest.
 */
export function answersOf(...config: ConstructorParameters<typeof QueryClient>) {
  const answers = new QueryClient(...config)
  const invalidate = answers.invalidateQueries.bind(answers)
  answers.invalidateQueries = ((...asked: Parameters<typeof invalidate>) => {
    const filters = typeof asked[0] === 'function' ? asked[0]() : asked[0]
    const isAskedAgain = (filters as { refetchType?: string } | undefined)?.refetchType !== 'none'
    for (const query of answers.getQueryCache().findAll(filters as QueryFilters | undefined)) {
      const isFirst = query.state.data === undefined && query.state.fetchStatus === 'fetching'
      if (isAskedAgain && isFirst && query.isActive()) void query.cancel({ silent: true })
    }
    return invalidate(...asked)
  }) as typeof answers.invalidateQueries
  askAgain(answers)
  return answers
}

/** A page that got no answer goes on by itself once there is one. */
function askAgain(answers: QueryClient) {
  let timer: ReturnType<typeof setTimeout> | undefined
  answers.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'error' || !isNoAnswer(event.query.state.error)) return
    timer ??= setTimeout(() => {
      timer = undefined
      void answers.refetchQueries({ type: 'active', predicate: ({ state }) => isNoAnswer(state.error) })
    }, ASKED_AGAIN_MS)
  })
}
