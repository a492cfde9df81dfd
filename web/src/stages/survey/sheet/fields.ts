import { useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { onTop, useSurfaceEdits, type Surface } from '@/shared/state/job'
import { useTyped } from '@/shared/state/typed'

/** The fields of one surface, kept one by one. A field does not collide with what others change on the same surface. */
export function useSurfaceFields(job: MaybeRefOrGetter<string>, surface: MaybeRefOrGetter<string>) {
  const edits = useSurfaceEdits(job)
  const queries = useQueryClient()
  const key = () => ['job', toValue(job), 'surfaces']

  const row = () => queries.getQueryData<Surface[]>(key())?.find((one) => one.id === toValue(surface))
  const refresh = () => queries.refetchQueries({ queryKey: key() })

  return useTyped(`surface.${toValue(surface)}`, (fields) => onTop(() => edits.change(row()!, fields), refresh))
}
