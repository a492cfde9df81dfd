import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { keeps, partIn } from '../kinds'

type Job = Schemas['JobAnswer']
type Board = Schemas['BoardAnswer']
type Card = Schemas['JobCard']

const NAMES = { place: 'placeId', targetSet: 'targetSetId' }

keeps('job', {
  routes: {
    '': {
      send: ({ id }, sent) => ask(api.PATCH('/api/jobs/{id}', { params: { path: { id } }, body: sent })),
      shown: (queries, { id }) =>
        queries.getQueryData<Board>(['job', id, 'board'])?.job ??
        queries.getQueryData<Card[]>(['jobs'])?.find(({ job }) => job.id === id)?.job,
      partOf: (answer, field) => partIn(answer, field, NAMES) ?? (answer as Job).words[field] ?? null,
    },
  },
  versionIn: (answer) => (answer as Job | null)?.version,
  async took(queries: QueryClient, { id }, answer) {
    const board = ['job', id, 'board']
    queries.setQueryData<Board>(board, (before) => before && { ...before, job: answer as Job })
    queries.setQueryData<Card[]>(['jobs'], (cards) =>
      cards?.map((card) => (card.job.id === id ? { ...card, job: answer as Job } : card)),
    )
    // What shows fields of the job is asked first; nearly everything else follows from them too.
    await queries.invalidateQueries({
      predicate: ({ queryKey: [kind, of, what] }) =>
        (kind === 'job' && of === id && (what === 'price' || what === 'order')) ||
        (kind === 'surface' && (what === 'choose' || what === 'sets')),
    })
    void queries.invalidateQueries({
      predicate: ({ queryKey: [kind, of, what] }) =>
        kind === 'jobs' ||
        (kind === 'job' && of === id && what !== 'price' && what !== 'order') ||
        (kind === 'surface' && what !== 'choose' && what !== 'sets'),
    })
  },
})
