import { v7 } from 'uuid'
import { nowMs } from '../state/clock'
import type { Units } from '../state/reader'
import { shelf, type Entry, type Shelf } from './entries'
import { kindOf, nameOf, placeOf, routeOf, type Place } from './kinds'
import { lineOf, page, type Outcome } from './lines'
import { run, sendWaiting } from './sending'
import { stepsOf, type Step } from './steps'

// What pages use of the queues below.
export { keepWith, type Outcome } from './lines'
export { inTurn, onTheirWay, sendWaiting } from './sending'

/**
 * The one way to keep what people enter. An edit belongs to the record it was made on, with the version that was on the
 * screen. Edits of one record go one after the other, those that wait together; records do not wait for each other.
 * What the server did not answer waits and goes by itself; what it refused, or what someone else changed too, waits for
 * the person.
 */
type Fields = Record<string, string>

/** The version of a record, and a field of it, as they are on the screen now. */
function caught(at: Shelf, place: Place, field: string): Pick<Entry, 'version' | 'was' | 'called'> {
  const kind = kindOf(place.kind)
  if (!kind) return {}
  const { route, name } = routeOf(kind, field)
  const shown = route.shown?.(page.queries, place)
  if (shown === undefined) return {}
  let part = route.partOf?.(shown, name, place)
  let version = kind.versionIn(shown, place)
  const { became } = lineOf(at, place)
  for (let next; version !== undefined && (next = became.get(version)); version = next.version) {
    // What took an edit back does not say what the record became.
    part = next.answer === undefined ? undefined : (route.partOf?.(next.answer, name, place) ?? part)
  }
  const { name: called } = shown as { name?: unknown }
  const title = typeof called === 'string' ? called : undefined
  return { version, was: part === undefined ? undefined : JSON.stringify(part), called: title }
}

/** Takes what is being typed into a field; it is not sent until the field is left. */
export function type(place: Place, field: string, text: string, units: Units) {
  const [at, record] = [shelf.value, nameOf(place)]
  const before = at.get(record, field)
  const state = before?.state === 'met' ? 'met' : 'typed'
  at.put(record, field, { ...begun(at, place, field), text, units, at: nowMs(), state })
}

// What was caught when the edit was begun stays with it, however long it is typed at.
const begun = (at: Shelf, place: Place, field: string) =>
  at.get(nameOf(place), field) ?? { within: place.within, ...caught(at, place, field) }

export interface Putting {
  units: Units
  /** Whether the fields are taken or refused together. */
  together?: boolean
  /** Collects what takes the edit back, where it is one part of a larger step. */
  steps?: Step[]
}

/** Keeps fields of a record, and tells what became of them; what gets no answer waits. */
export function put(place: Place, fields: Fields, { units, together, steps }: Putting): Promise<Outcome> {
  const [at, record] = [shelf.value, nameOf(place)]
  const mark = together ? v7() : undefined
  let met = false
  for (const [field, text] of Object.entries(fields)) {
    const before = begun(at, place, field)
    const state = 'state' in before && before.state === 'met' ? 'met' : 'waits'
    met ||= state === 'met'
    const entry: Entry = { ...before, text, units, at: nowMs(), state, together: mark }
    at.put(record, field, { ...entry, fault: undefined, refusal: undefined })
  }
  if (met) return Promise.resolve('met')
  return new Promise((done) => {
    lineOf(at, place).waiters.push({ texts: { ...fields }, results: new Map(), done, steps })
    void run(at, place)
  })
}

/** Lets go of what was typed into a field. */
export const forget = (place: Place, ...fields: string[]) => shelf.value.drop(nameOf(place), ...fields)

/** Where someone else changed a field too: keeps what was typed here, or lets it go. */
export function decide(place: Place, field: string, which: 'mine' | 'theirs') {
  const [at, record] = [shelf.value, nameOf(place)]
  const entry = at.get(record, field)
  if (entry?.state !== 'met') return
  if (which === 'theirs') return at.drop(record, field)
  at.put(record, field, { ...entry, state: 'waits', was: entry.theirs, theirs: undefined })
  void run(at, place)
}

/**
 * Sends everything there is, also what was typed and not left yet, and what was refused before.
 * @param units What bare numbers of an earlier version's drafts are read in.
 */
export function sendAll(units: Units) {
  const at = shelf.value
  for (const [record, fields] of Object.entries(at.records)) {
    if (!placeOf(record)) continue
    for (const [field, entry] of Object.entries(fields)) {
      if (entry.state === 'typed' || entry.state === 'refused') {
        const from = entry.units ?? units
        at.put(record, field, { ...entry, units: from, state: 'waits', fault: undefined, refusal: undefined })
      }
    }
  }
  sendWaiting()
}

/** Lets go of entries, all of them or some; undo on their job brings them back. */
export function discard(chosen: (record: string, field: string, entry: Entry) => boolean = () => true) {
  const at = shelf.value
  const gone = Object.entries(at.records).flatMap(([record, fields]) =>
    Object.entries(fields)
      .filter(([field, entry]) => chosen(record, field, entry))
      .map(([field, entry]) => ({ record, field, entry })),
  )
  const drop = async () => gone.forEach(({ record, field }) => at.drop(record, field))
  const bring = async () =>
    gone.forEach(({ record, field, entry }) => {
      at.put(record, field, { ...entry, state: entry.state === 'waits' ? 'typed' : entry.state })
    })
  void drop()
  for (const job of new Set(gone.flatMap(({ entry }) => entry.within ?? []))) {
    stepsOf(job).did({ undo: bring, redo: drop })
  }
}

/** Sends by itself: when the page is opened, when the connection is back, when someone looks at the page again. */
export function sendByItself() {
  sendWaiting()
  globalThis.addEventListener('online', sendWaiting)
  document.addEventListener('visibilitychange', () => document.hidden || sendWaiting())
  setInterval(sendWaiting, 20_000)
}
