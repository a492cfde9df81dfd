import { api, ask } from '../../api/client'
import { keeps } from '../kinds'

/** What was read, sampled, seen, signed, found or repaired: the surface comes first, then the id of the entry of its log. */
keeps('proofEntry', {
  stands: true,
  versionIn: () => undefined,
  routes: {
    '': {
      send: ({ id }, body) =>
        ask(api.POST('/api/surfaces/{id}/proof-log', { params: { path: { id: id.split('/')[0]! } }, body })),
    },
  },
  took: (queries, { id, within }, answer) => {
    const surface = id.split('/')[0]
    if (answer) queries.setQueryData(['surface', surface, 'proof'], answer)
    void queries.invalidateQueries({ queryKey: ['surface', surface, 'spray'] })
    void queries.invalidateQueries({ queryKey: ['job', within] })
  },
})
