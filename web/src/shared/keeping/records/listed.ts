import type { QueryClient, QueryKey } from '@tanstack/vue-query'
import { keeps, partIn, type Place, type Route } from '../kinds'

interface Listed {
  id: string
  version: number
}

/** A record that stands in a list: an answer holds the list, a refusal the record or the list. */
export interface InList {
  /** Where the list is among the server's answers. */
  key: (place: Place) => QueryKey
  /** The records in such an answer. */
  listIn: (answer: never) => readonly Listed[] | undefined
  send: Route['send']
  /** Names of fields where the record names them otherwise. */
  names?: Record<string, string>
  /** Has what follows from the list asked anew. */
  told: (queries: QueryClient, place: Place) => void
}

export function keepsListed(kind: string, { key, listIn, send, names, told }: InList) {
  const recordIn = (answer: unknown, { id }: Place) =>
    (answer as Listed).id === id ? (answer as Listed) : listIn(answer as never)?.find((one) => one.id === id)
  keeps(kind, {
    routes: {
      '': {
        send,
        shown: (queries, place) => queries.getQueryData(key(place)),
        partOf: (answer, field, place) => partIn(recordIn(answer, place), field, names),
      },
    },
    versionIn: (answer, place) => recordIn(answer, place)?.version,
    took(queries, place, answer) {
      if ((answer as Listed).id === place.id) return queries.invalidateQueries({ queryKey: key(place) })
      queries.setQueryData(key(place), answer)
      told(queries, place)
    },
  })
}
