import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { useSession } from '../../state/session'
import { keeps, partIn, type Place, type Route } from '../kinds'

keeps('firm', {
  routes: { '': { send: (_, body) => ask(api.PATCH('/api/firm', { body })) } },
  versionIn: () => undefined,
  took(queries, _, answer) {
    const firm = answer as Schemas['FirmAnswer']
    queries.setQueryData(['firm'], firm)
    const { person } = useSession()
    if (person) person.currency = firm.currency
    // Rates and practice bear on every choice and every price.
    void queries.invalidateQueries({ predicate: ({ queryKey: [kind] }) => kind === 'surface' || kind === 'job' })
  },
})

type TargetSet = Schemas['TargetSetDetail']

keeps('targets', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/target-sets/{id}', { params: { path: { id } }, body })),
      shown: (queries, { id }) => queries.getQueryData<TargetSet[]>(['targetSets'])?.find((one) => one.id === id),
      partOf: (answer, field) => {
        const of = answer as TargetSet
        if (field === 'name') return of.edition
        return of.lines.flatMap((line) => line.cells).find((cell) => cell.field === field)?.greatestU ?? null
      },
    },
  },
  versionIn: (answer) => (answer as TargetSet | null)?.version,
  took(queries) {
    for (const key of ['choices', 'job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
    return queries.invalidateQueries({ queryKey: ['targetSets'] })
  },
})

type OwnPlace = Schemas['PlaceAnswer']

keeps('place', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/places/{id}', { params: { path: { id } }, body })),
      shown: (queries, { id }) =>
        (queries.getQueryData<OwnPlace[]>(['places']) ?? placesIn(queries))?.find((one) => one.id === id),
      partOf: (answer, field) => partIn(answer, field),
    },
  },
  versionIn: (answer) => (answer as OwnPlace | null)?.version,
  took(queries) {
    for (const key of ['job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
    return queries.invalidateQueries({ predicate: ({ queryKey: [kind] }) => kind === 'places' || kind === 'choices' })
  },
})

const placesIn = (queries: QueryClient) => queries.getQueryData<{ places: OwnPlace[] }>(['choices'])?.places

/** A record of a list of the firm: an answer holds the list, a refusal the record or the list. */
function keepsOfFirm(
  kind: string,
  key: string,
  listIn: (answer: never) => readonly { id: string; version: number }[] | undefined,
  send: Route['send'],
  names: Record<string, string> = {},
) {
  const recordIn = (answer: unknown, { id }: Place) =>
    (answer as { id?: string }).id === id
      ? (answer as { id: string; version: number })
      : listIn(answer as never)?.find((one) => one.id === id)
  keeps(kind, {
    routes: {
      '': {
        send,
        shown: (queries) => queries.getQueryData([key]),
        partOf: (answer, field, place) => partIn(recordIn(answer, place), field, names),
      },
    },
    versionIn: (answer, place) => recordIn(answer, place)?.version,
    took(queries, { id }, answer) {
      if ((answer as { id?: string }).id === id) return queries.invalidateQueries({ queryKey: [key] })
      queries.setQueryData([key], answer)
      // Material and price of every job hang on it.
      void queries.invalidateQueries({
        predicate: ({ queryKey: [of] }) =>
          ['job', 'surface', 'jobs', 'stock', 'pastJobs'].includes(String(of)) && of !== key,
      })
    },
  })
}

keepsOfFirm(
  'lot',
  'stock',
  (answer: Schemas['StockAnswer']) => answer.lots,
  ({ id }, body) => ask(api.PATCH('/api/stock/{id}', { params: { path: { id } }, body })),
)
keepsOfFirm(
  'pastJob',
  'pastJobs',
  (answer: Schemas['PastJobsAnswer']) => answer.jobs,
  ({ id }, body) => ask(api.PATCH('/api/past-jobs/{id}', { params: { path: { id } }, body })),
  { leftOut: 'leftOutBecause' },
)
