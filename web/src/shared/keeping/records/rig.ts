import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { keeps, type Place } from '../kinds'

const partsOf = ({ id }: Place) => id.split('/')
const ofSurface = (place: Place) => ({ params: { path: { id: partsOf(place)[0]! } } })
const ofShot = (place: Place) => ({ params: { path: { id: partsOf(place)[1]! } } })

// The answer is of the rig it was said of; every surface of the job, and the board, go by it too.
function took(queries: QueryClient, { id, within }: Place, answer: unknown) {
  const rig = answer as Schemas['RigOfSurface'] | undefined
  const surface = id.split('/')[0]
  if (rig) {
    queries.setQueryData(['surface', surface, 'rig', rig.rig ?? undefined], rig)
    queries.setQueryData(['surface', surface, 'rig', undefined], (before: Schemas['RigOfSurface'] | undefined) =>
      before && before.rig !== rig.rig ? before : rig,
    )
  }
  void queries.invalidateQueries({ queryKey: ['surface'], predicate: ({ queryKey }) => queryKey[1] !== surface })
  void queries.invalidateQueries({ queryKey: ['job', within] })
}

const stands = { stands: true, versionIn: () => undefined, took }

/** How the rig is set, who sprays, what was fired, what was done about it and who accepted it: the surface comes first, then the shot. */
keeps('rigSetting', {
  ...stands,
  routes: {
    '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/rig-settings', { ...ofSurface(place), body })) },
  },
})
keeps('sprayer', {
  ...stands,
  routes: {
    '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/sprayers', { ...ofSurface(place), body })) },
  },
})
keeps('testShot', {
  ...stands,
  routes: {
    '': { send: (place, body) => ask(api.POST('/api/surfaces/{id}/test-shots', { ...ofSurface(place), body })) },
  },
})
keeps('shotStep', {
  ...stands,
  routes: { '': { send: (place, body) => ask(api.POST('/api/test-shots/{id}/steps', { ...ofShot(place), body })) } },
})
keeps('shotAcceptance', {
  ...stands,
  routes: {
    '': { send: (place, body) => ask(api.POST('/api/test-shots/{id}/acceptance', { ...ofShot(place), body })) },
  },
})
