import type { QueryClient } from '@tanstack/vue-query'
import { api, ask } from '../../api/client'
import { keeps, partIn, type Place, type Route } from '../kinds'

interface Listed {
  id: string
  version: number
}

/**
 * A record that stands in a list of its job: an answer holds the whole list, a refusal the one record.
 * @param key The list among the server's answers.
 * @param listIn The records in such an answer.
 */
function keepsListed(
  kind: string,
  key: string,
  listIn: (answer: never) => readonly Listed[],
  send: Route['send'],
  names: Record<string, string> = {},
) {
  const recordIn = (answer: unknown, { id }: Place) =>
    (answer as Listed).id === id ? (answer as Listed) : listIn(answer as never)?.find((one) => one.id === id)
  keeps(kind, {
    routes: {
      '': {
        send,
        shown: (queries, { within }) => queries.getQueryData(['job', within, key]),
        partOf: (answer, field, place) => partIn(recordIn(answer, place), field, names),
      },
    },
    versionIn: (answer, place) => recordIn(answer, place)?.version,
    took(queries, { id, within }, answer) {
      if ((answer as Listed).id === id) return queries.invalidateQueries({ queryKey: ['job', within, key] })
      listTaken(queries, within, key, answer)
    },
  })
}

/** Shows a list of a job's survey as an answer gave it, and has everything that follows from it asked anew. */
export function listTaken(queries: QueryClient, job: string | undefined, key: string, answer: unknown) {
  if (key) queries.setQueryData(['job', job, key], answer)
  void queries.invalidateQueries({
    predicate: ({ queryKey: [kind, of, what] }) =>
      kind === 'surface' || kind === 'jobs' || (kind === 'job' && (!job || of === job) && what !== key),
  })
}

const path = ({ id }: Place) => ({ params: { path: { id } } })

keepsListed(
  'joint',
  'joints',
  (answer: { joints: Listed[] }) => answer.joints,
  (place, body) => ask(api.PATCH('/api/joints/{id}', { ...path(place), body })),
  { second: 'secondId', seen: 'seenBy' },
)
keepsListed(
  'fan',
  'fan',
  (answer: { tests: Listed[] }) => answer.tests,
  (place, body) => ask(api.PATCH('/api/fan-tests/{id}', { ...path(place), body })),
  { points: 'pointsText' },
)
keepsListed(
  'buffer',
  'building',
  (answer: { buffers: Listed[] }) => answer.buffers,
  (place, body) => ask(api.PATCH('/api/buffers/{id}', { ...path(place), body })),
)
keepsListed(
  'thermal',
  'thermal',
  (answer: Listed[]) => answer,
  (place, body) => ask(api.PATCH('/api/thermal/{id}', { ...path(place), body })),
  { surface: 'surfaceId' },
)

keepsListed(
  'complaint',
  'complaints',
  (answer: Listed[]) => answer,
  (place, body) => ask(api.PATCH('/api/complaints/{id}', { ...path(place), body })),
  { suspects: 'suspectIds' },
)

/** The caption of a photo: whoever writes last writes it. */
keeps('photo', {
  routes: { '': { send: (place, body) => ask(api.PATCH('/api/photos/{id}', { ...path(place), body })) } },
  versionIn: () => undefined,
  took: (queries, { within }, answer) => listTaken(queries, within, 'photos', answer),
})

/** An item of a preparation list, by the surface or job it belongs to: the newer tick stands, whoever made it. */
keeps('task', {
  routes: {
    '': {
      send: ({ id, within }, body) => {
        const [of = '', item = ''] = id.split('/')
        const at = { params: { path: { id: of, item: item as never } }, body }
        return ask(
          of === within
            ? api.PATCH('/api/jobs/{id}/preparation/{item}', at)
            : api.PATCH('/api/surfaces/{id}/preparation/{item}', at),
        )
      },
    },
  },
  versionIn: () => undefined,
  took: (queries, { within }, answer) => listTaken(queries, within, 'preparation', answer),
})

/** Something entered on a surface, each under an id of its own; the surface comes first. */
const ofSurface = ({ id }: Place) => ({ params: { path: { id: id.split('/')[0]! } } })

keeps('reading', {
  routes: {
    '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/readings', { ...ofSurface(place), body })) },
  },
  versionIn: () => undefined,
  took(queries, { id, within }, answer) {
    queries.setQueryData(['surface', id.split('/')[0], 'window'], answer)
    void queries.invalidateQueries({ queryKey: ['surface'] })
    void queries.invalidateQueries({ queryKey: ['job', within] })
  },
})

/** Whether something found was seen to; the surface comes first. */
keeps('found', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/notes/{id}', { params: { path: { id: id.split('/')[1]! } }, body })),
    },
  },
  versionIn: () => undefined,
  took: noted,
})

keeps('note', {
  routes: { '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/notes', { ...ofSurface(place), body })) } },
  versionIn: () => undefined,
  took: noted,
})

function noted(queries: QueryClient, { id, within }: Place, answer: unknown) {
  listTaken(queries, within, '', answer)
  queries.setQueryData(['surface', id.split('/')[0], 'notes'], answer)
}
