import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { keeps, partIn, type Place } from '../kinds'

type Surface = Schemas['SurfaceAnswer']
type Choice = Schemas['ChoiceOfSurface']

const path = ({ id }: Place) => ({ params: { path: { id } } })
const isChoice = (answer: unknown): answer is Choice => typeof (answer as Choice | null)?.answer === 'object'
const choiceOf = (queries: QueryClient, { id }: Place) => queries.getQueryData<Choice>(['surface', id, 'choose'])

const surfaceOf = (queries: QueryClient, { id, within }: Place) =>
  queries.getQueryData<Surface[]>(['job', within, 'surfaces'])?.find((one) => one.id === id)

/** Names of fields where the record names them otherwise. */
const NAMES = { sheet: 'sheetId', buffer: 'bufferId' }

/** A choice as it waits: the system, and on a line of its own the reason. */
export const choiceText = (candidateId: string, reason = '') => `${candidateId}\n${reason}`
export const choiceIn = (text: string) => {
  const cut = text.indexOf('\n')
  return [text.slice(0, cut), text.slice(cut + 1)] as const
}

/** The face of the foam as it waits: where the hand left it, in millimetres, and on a line of its own as it was read there. */
export const movedText = (mm: number, read: string) => `${mm}\n${read || `${mm} mm`}`

/** The same as it is read. */
export const saidOfFace = (text: string) => text.slice(text.indexOf('\n') + 1)

keeps('surface', {
  routes: {
    '': {
      send: (place, sent) => ask(api.PATCH('/api/surfaces/{id}', { ...path(place), body: sent })),
      shown: surfaceOf,
      partOf: (answer, field) => (isChoice(answer) ? undefined : partIn(answer, field, NAMES)),
    },
    // What was said of a surface for the choice.
    facts: {
      send: (place, sent) => ask(api.PATCH('/api/surfaces/{id}/choose/facts', { ...path(place), body: sent })),
      shown: choiceOf,
      partOf: (answer, field) =>
        isChoice(answer) ? (field === 'load' ? answer.load : answer.facts[field]) : undefined,
    },
    // The foam's face, moved by hand.
    face: {
      send: (place, { id, version, at, fields }) => {
        const body = { id, at, version, thicknessMm: Number.parseFloat(fields.thickness ?? '') }
        return ask(api.PATCH('/api/surfaces/{id}/thickness', { ...path(place), body }))
      },
      shown: surfaceOf,
      partOf: (answer) => (isChoice(answer) ? undefined : partIn(answer, 'thickness')),
    },
    // The choice itself: a system and why it was chosen against a rule are one thing. None takes the last one back.
    choice: {
      send: (place, { id, version, at, fields }) => {
        const [candidateId, reason] = choiceIn(fields.system ?? '')
        const seen = { id, at, version: version ?? 0 }
        return ask(
          candidateId
            ? api.POST('/api/surfaces/{id}/choose', { ...path(place), body: { ...seen, candidateId, reason } })
            : api.POST('/api/surfaces/{id}/choose/back', { ...path(place), body: seen }),
        )
      },
      shown: choiceOf,
      partOf: (answer) => (isChoice(answer) ? choiceText(answer.chosenId ?? '', answer.reason) : undefined),
    },
  },
  versionIn: (answer, { id }) => {
    const of = answer as Surface | Choice | null
    return of && (isChoice(of) || of.id === id) ? of.version : undefined
  },
  took: (queries, place, answer) =>
    isChoice(answer) ? chosen(queries, place, answer) : changed(queries, place, answer),
})

function changed(queries: QueryClient, { within: job }: Place, answer: unknown) {
  putSurface(queries, job, answer as Surface)
  return told(queries, job, (answer as Surface).id)
}

function chosen(queries: QueryClient, { id, within: job }: Place, answer: Choice) {
  queries.setQueryData(['surface', id, 'choose'], answer)
  return told(queries, job, id, 'choose')
}

/** Shows a surface as an answer gave it in the list of its job. */
export function putSurface(queries: QueryClient, job: string | undefined, surface: Surface) {
  const list = ['job', job, 'surfaces']
  if (!queries.getQueryData(list)) return
  // A list that was asked for before this answer would put an older surface back.
  void queries.cancelQueries({ queryKey: list })
  queries.setQueryData<Surface[]>(list, (rows = []) =>
    rows.some((row) => row.id === surface.id)
      ? rows.map((row) => (row.id === surface.id ? surface : row))
      : [...rows, surface],
  )
}

/** Has all that follows from a surface asked anew; done once the pages that show its own fields have their answer. */
async function told(queries: QueryClient, job: string | undefined, id: string, but = '') {
  const isOwn = (what: unknown) => what === 'section' || what === 'sets' || what === 'choose'
  await queries.invalidateQueries({
    predicate: ({ queryKey: [kind, of, what] }) => kind === 'surface' && of === id && isOwn(what) && what !== but,
  })
  void queries.invalidateQueries({
    predicate: ({ queryKey: [kind, of, what] }) =>
      (kind === 'surface' && !(of === id && isOwn(what))) ||
      (kind === 'job' && (!job || of === job) && what !== 'surfaces') ||
      (kind === 'jobs' && !job),
  })
  void queries.invalidateQueries({ queryKey: ['jobs'], refetchType: 'none' })
}
