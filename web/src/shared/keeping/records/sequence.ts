import { api, ask, type Schemas } from '../../api/client'
import { keeps } from '../kinds'

type Run = Schemas['RunAnswer']
type Sequence = Schemas['FirmSequenceAnswer']

const stands = { stands: true, versionIn: () => undefined }
const ofRun = (id: string) => ({ params: { path: { id } } })

/** A sequence that is begun: the rig comes first. */
keeps('sequenceRun', {
  ...stands,
  routes: {
    '': {
      send: ({ id }, body) =>
        ask(api.POST('/api/rigs/{id}/sequence-runs', { params: { path: { id: id.split('/')[0]! } }, body })),
    },
  },
  took: (queries, _, answer) => tookRun(queries, answer as Run | undefined),
})
/** What is said of its steps: a field by the id of each, one after the other. */
keeps('sequenceMark', {
  ...stands,
  routes: { '': { send: ({ id }, body) => ask(api.POST('/api/sequence-runs/{id}/marks', { ...ofRun(id), body })) } },
  took: (queries, _, answer) => tookRun(queries, answer as Run | undefined),
})
keeps('sequenceEnd', {
  ...stands,
  routes: { '': { send: ({ id }, body) => ask(api.POST('/api/sequence-runs/{id}/end', { ...ofRun(id), body })) } },
  took: (queries, _, answer) => tookRun(queries, answer as Run | undefined),
})

function tookRun(queries: Parameters<Parameters<typeof keeps>[1]['took']>[0], run?: Run) {
  if (run) queries.setQueryData(['run', run.id], run)
  void queries.invalidateQueries({ queryKey: ['rigSequences'] })
  // Who is protected is on record by a step too.
  void queries.invalidateQueries({ queryKey: ['surface'], predicate: ({ queryKey }) => queryKey[2] === 'rig' })
}

/** A sequence as the firm runs it, by its kind. */
keeps('sequence', {
  stands: true,
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/sequences/{kind}', { params: { path: { kind: id } }, body })),
      shown: (queries, { id }) => queries.getQueryData<Sequence[]>(['sequences'])?.find((one) => one.kind === id),
      partOf: (answer) => JSON.stringify((answer as Sequence).sequence.steps),
    },
  },
  versionIn: (answer) => (answer as Sequence | null)?.version,
  took: (queries) => queries.invalidateQueries({ queryKey: ['sequences'] }),
})
