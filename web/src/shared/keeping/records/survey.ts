import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { keeps, partIn, type Place } from '../kinds'
import { keepsListed, type InList } from './listed'

/** Shows a list of a job's survey as an answer gave it, and has everything that follows from it asked anew. */
export function listTaken(queries: QueryClient, job: string | undefined, key: string, answer: unknown) {
  if (key) queries.setQueryData(['job', job, key], answer)
  told(queries, job, key)
}

function told(queries: QueryClient, job: string | undefined, key: string) {
  void queries.invalidateQueries({
    predicate: ({ queryKey: [kind, of, what] }) =>
      kind === 'surface' || kind === 'jobs' || (kind === 'job' && (!job || of === job) && what !== key),
  })
}

const path = ({ id }: Place) => ({ params: { path: { id } } })

/** A record of a list of a job's survey. */
const keepsOfSurvey = (kind: string, list: string, how: Pick<InList, 'listIn' | 'send' | 'names'>) =>
  keepsListed(kind, {
    ...how,
    key: ({ within }) => ['job', within, list],
    told: (queries, { within }) => told(queries, within, list),
  })

type Of<T extends keyof Schemas> = Schemas[T]

keepsOfSurvey('joint', 'joints', {
  listIn: (answer: Of<'JointsAnswer'>) => answer.joints,
  send: (place, body) => ask(api.PATCH('/api/joints/{id}', { ...path(place), body })),
  names: { second: 'secondId', seen: 'seenBy' },
})
keepsOfSurvey('fan', 'fan', {
  listIn: (answer: Of<'FanTestsAnswer'>) => answer.tests,
  send: (place, body) => ask(api.PATCH('/api/fan-tests/{id}', { ...path(place), body })),
  names: { points: 'pointsText' },
})
keepsOfSurvey('buffer', 'building', {
  listIn: (answer: Of<'BuildingAnswer'>) => answer.buffers,
  send: (place, body) => ask(api.PATCH('/api/buffers/{id}', { ...path(place), body })),
})
keepsOfSurvey('thermal', 'thermal', {
  listIn: (answer: Of<'ThermalAnswer'>[]) => answer,
  send: (place, body) => ask(api.PATCH('/api/thermal/{id}', { ...path(place), body })),
  names: { surface: 'surfaceId' },
})
keepsOfSurvey('complaint', 'complaints', {
  listIn: (answer: Of<'ComplaintAnswer'>[]) => answer,
  send: (place, body) => ask(api.PATCH('/api/complaints/{id}', { ...path(place), body })),
  names: { suspects: 'suspectIds' },
})

keepsOfSurvey('photo', 'photos', {
  listIn: (answer: Of<'PhotoAnswer'>[]) => answer,
  send: (place, body) => ask(api.PATCH('/api/photos/{id}', { ...path(place), body })),
})

// An item is named by the surface or job it belongs to.
function taskIn(answer: unknown, { id, within }: Place) {
  const [of, item] = id.split('/')
  const list = answer as Of<'PreparationAnswer'> | undefined
  const tasks = of === within ? list?.forJob : list?.surfaces.find((one) => one.surfaceId === of)?.tasks
  return tasks?.find((task) => task.item === item)
}

/** An item of a preparation list: the newer tick stands, whoever made it; who does it by when is asked about as elsewhere. */
keeps('task', {
  stands: true,
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
      shown: (queries, { within }) => queries.getQueryData(['job', within, 'preparation']),
      partOf: (answer, field, place) => partIn(taskIn(answer, place), field),
    },
  },
  versionIn: (answer, place) => taskIn(answer, place)?.version,
  took: (queries, { within }, answer) => listTaken(queries, within, 'preparation', answer),
})

/** Something entered on a surface, each under an id of its own; the surface comes first. */
const ofSurface = ({ id }: Place) => ({ params: { path: { id: id.split('/')[0]! } } })

keeps('reading', {
  stands: true,
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
  stands: true,
  routes: { '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/notes', { ...ofSurface(place), body })) } },
  versionIn: () => undefined,
  took: noted,
})

function noted(queries: QueryClient, { id, within }: Place, answer: unknown) {
  listTaken(queries, within, '', answer)
  queries.setQueryData(['surface', id.split('/')[0], 'notes'], answer)
}
