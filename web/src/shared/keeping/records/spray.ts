import { api, ask } from '../../api/client'
import { keeps } from '../kinds'

/** An entry of the spray log: the surface comes first, then the id of the entry. */
keeps('sprayEntry', {
  stands: true,
  versionIn: () => undefined,
  routes: {
    '': {
      send: ({ id }, body) =>
        ask(api.POST('/api/surfaces/{id}/spray-log', { params: { path: { id: id.split('/')[0]! } }, body })),
    },
  },
  took: (queries, { id, within }, answer) => {
    const surface = id.split('/')[0]
    if (answer) queries.setQueryData(['surface', surface, 'spray'], answer)
    void queries.invalidateQueries({
      predicate: ({ queryKey: [of, id, page] }) =>
        of === 'surface' && (page === 'proof' || (page === 'spray' && id !== surface)),
    })
    void queries.invalidateQueries({ queryKey: ['job', within] })
  },
})
