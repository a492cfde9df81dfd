import type { RouteLocationNormalized } from 'vue-router'

/** Where somebody was going when they were asked for something first; the list of jobs where they were not going anywhere. */
export function whereTo({ query }: Pick<RouteLocationNormalized, 'query'>) {
  return typeof query.to === 'string' && query.to.startsWith('/') ? query.to : '/'
}
