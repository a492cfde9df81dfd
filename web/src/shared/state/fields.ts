import { toValue, type MaybeRefOrGetter } from 'vue'
import { useJobEdits, useSurfaceEdits } from './job'
import { useTyped } from './typed'

type Id = MaybeRefOrGetter<string>

/**
 * The fields of one surface, kept one by one, on whichever page they are typed. A field does not collide with what others
 * change on the same surface.
 * @param version The version the page shows.
 */
export function useSurfaceFields(job: Id, surface: Id, version: () => number | undefined) {
  const edits = useSurfaceEdits(job)
  return useTyped(
    () => `surface.${toValue(surface)}`,
    () => {
      const seen = { id: toValue(surface), version: version() ?? 0 }
      return (fields) => edits.change(seen, fields)
    },
  )
}

/**
 * The fields of one job, likewise.
 * @param told Has what follows from them asked anew.
 */
export function useJobFields(job: Id, version: () => number | undefined, told: () => Promise<unknown>) {
  const edits = useJobEdits()
  return useTyped(
    () => `job.${toValue(job)}`,
    () => {
      const seen = { id: toValue(job), version: version() ?? null }
      return async (fields) => {
        const answer = await edits.change(seen, fields)
        await told()
        return answer
      }
    },
  )
}
