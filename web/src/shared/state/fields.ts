import { toValue, type MaybeRefOrGetter } from 'vue'
import { useSurfaces } from './job'
import { useTyped } from './typed'

type Id = MaybeRefOrGetter<string>

/** The fields of one surface, kept one by one, on whichever page they are typed. */
export function useSurfaceFields(job: Id, surface: Id) {
  // An edit holds on to the surface as it was on the screen: it must be there.
  useSurfaces(job)
  return useTyped(() => ({ kind: 'surface', id: toValue(surface), within: toValue(job) }))
}

/** The fields of one job, likewise. */
export const useJobFields = (job: Id) => useTyped(() => ({ kind: 'job', id: toValue(job), within: toValue(job) }))
