import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '../shared/api/client'
import { once } from '../shared/api/once'
import { useProblems } from '../shared/figures/problems'
import { useEdits } from '../shared/state/edits'

export type JobState = Schemas['JobState']
export const jobStates: readonly JobState[] = [
  'estimate',
  'offered',
  'ordered',
  'underWay',
  'finished',
  'notOrdered',
] as const

type Job = Pick<Schemas['JobAnswer'], 'id' | 'name' | 'state' | 'archived'>
const path = (id: string) => ({ params: { path: { id } } })
const placeOf = ({ id }: Pick<Job, 'id'>) => ({ kind: 'job', id, within: id })

/** How a job stands, what was entered and is still to be sent included. */
export function useJobStanding() {
  const edits = useEdits()
  return {
    stateOf: (job: Job) => edits.textOf(placeOf(job), 'state', job.state) as JobState,
    isArchived: (job: Job) => edits.textOf(placeOf(job), 'archived', job.archived ? 'yes' : 'no') === 'yes',
  }
}

/** What was just done to a job, with its way back where it has one. */
export interface Done {
  said: string
  undo?: () => Promise<unknown>
}

/** Marks, archives, copies and deletes jobs; the last of it is said, and can be undone from there. */
export function useJobLife() {
  const { t } = useI18n()
  const { general } = useProblems()
  const queries = useQueryClient()
  const edits = useEdits()
  const done = shallowRef<Done | null>(null)
  const fault = ref('')

  const changed = () =>
    Promise.all(['jobs', 'deletedJobs', 'job'].map((kind) => queries.invalidateQueries({ queryKey: [kind] })))

  async function act(doing: () => Promise<Done | null>) {
    fault.value = ''
    try {
      done.value = await doing()
    } catch (cause) {
      done.value = null
      fault.value = general(cause)
    }
  }

  async function keep(job: Job, fields: Record<string, string>) {
    const outcome = await edits.keep(placeOf(job), fields)
    // Where somebody else was faster, the list of what is not sent asks which of the two it shall be.
    if (outcome === 'met') fault.value = t('problem.said.changed')
    if (outcome !== 'refused') return
    for (const field of Object.keys(fields)) {
      fault.value ||= edits.faultAt(placeOf(job), field)
      edits.forget(placeOf(job), field)
    }
  }

  async function restore({ id }: { id: string }) {
    await ask(api.POST('/api/jobs/{id}/restore', path(id)))
    await changed()
  }

  const archive = (job: Job, yes: boolean): Promise<void> =>
    act(async () => {
      await keep(job, { archived: yes ? 'yes' : 'no' })
      const said = t(yes ? 'jobs.life.archived' : 'jobs.life.unarchived', { name: job.name })
      return fault.value ? null : { said, undo: () => archive(job, !yes) }
    })

  return {
    done,
    fault,
    archive,
    mark: (job: Job, state: JobState) => act(async () => keep(job, { state }).then(() => null)),
    remove: (job: Job) =>
      act(async () => {
        await ask(api.DELETE('/api/jobs/{id}', path(job.id)))
        await changed()
        return { said: t('jobs.life.deleted', { name: job.name }), undo: () => restore(job) }
      }),
    restore: (job: Pick<Job, 'id' | 'name'>) =>
      act(async () => restore(job).then(() => ({ said: t('jobs.life.restored', { name: job.name }) }))),
    removeForGood: (job: Pick<Job, 'id' | 'name'>) =>
      act(async () => {
        await ask(api.DELETE('/api/jobs/deleted/{id}', path(job.id)))
        await changed()
        return { said: t('jobs.life.gone', { name: job.name }) }
      }),
    /** The id of the copy; empty where none was made. */
    async copy(job: Job) {
      let made = ''
      await act(async () => {
        const copy = await once('copy', job.id, (command) =>
          ask(api.POST('/api/jobs/{id}/copy', { params: { path: { id: job.id }, query: { command } } })),
        )
        made = copy.id
        await queries.invalidateQueries({ queryKey: ['jobs'] })
        return null
      })
      return made
    },
    /** Takes the last of it back. */
    async undo() {
      const last = done.value
      done.value = null
      if (last?.undo) await act(async () => last.undo!().then(() => null))
    },
  }
}

export type JobLife = ReturnType<typeof useJobLife>

export const useDeletedJobs = () =>
  useQuery({ queryKey: ['deletedJobs'], queryFn: () => ask(api.GET('/api/jobs/deleted')) })
