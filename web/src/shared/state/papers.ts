import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, download, type Schemas } from '../api/client'
import { saveFile } from '../api/saveFile'
import { behind } from '../keeping/unsent'
import { useReader } from './reader'
import { useSaving } from './saving'

export type Paper = Schemas['PaperAnswer']
export type Ending = 'pdf' | 'xlsx' | 'csv'
type Wish = Omit<Schemas['PaperWish'], 'units'>

const keyOf = (job: MaybeRefOrGetter<string>) => ['job', toValue(job), 'papers']
const pathOf = (job: MaybeRefOrGetter<string>) => ({ path: { id: toValue(job) } })

/** Papers that were made of a job, newest first. */
export const usePapersMade = (job: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: computed(() => keyOf(job)),
    queryFn: () => ask(api.GET('/api/jobs/{id}/papers', { params: pathOf(job) })),
  })

/** Makes papers of a job: the server writes them from what it knows, keeps them, and prints them from what it kept. */
export function usePapers(job: MaybeRefOrGetter<string>) {
  const queries = useQueryClient()
  const reader = useReader()
  const { fault, busy, save } = useSaving()

  const saveFrom = async ({ id }: Paper, ending: Ending) => {
    const { file, name } = await download(`/api/papers/${id}/${ending}`)
    saveFile(file, name)
  }

  return {
    fault,
    busy,
    /** Something entered has not reached the server yet: a paper made now would not hold it. */
    waits: computed(() => behind(toValue(job)) > 0),
    /** Makes a paper as things stand, in the units of the page, and saves it. */
    make: (wish: Wish, ending: Ending) =>
      save(async () => {
        const body = { ...wish, units: reader.units }
        const paper = await ask(api.POST('/api/jobs/{id}/papers', { params: pathOf(job), body }))
        void queries.invalidateQueries({ queryKey: keyOf(job) })
        await saveFrom(paper, ending)
      }),
    /** Saves one that was made before, as it was made. */
    again: (paper: Paper, ending: Ending) => save(() => saveFrom(paper, ending)),
  }
}
