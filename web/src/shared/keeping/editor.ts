import type { QueryClient } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { reactive } from 'vue'
import { ApiProblem } from '../api/client'
import { nowMs } from '../state/clock'
import { doubts } from '../state/doubts'
import type { Units } from '../state/reader'
import { batchOf, keepSent, textsOf, type Batch } from './batches'
import { answered, unanswered } from './connection'
import { shelf, type Entry, type Shelf } from './entries'
import { kindOf, nameOf, placeOf, routeOf, textOfPart, type Place, type RecordKind, type Version } from './kinds'
import { stepsOf, type Step } from './steps'

/**
 * The one way to keep what people enter. An edit belongs to the record it was made on, with the version that was on the
 * screen. Edits of one record go one after the other, those that wait together; records do not wait for each other.
 * What the server did not answer waits and goes by itself; what it refused, or what someone else changed too, waits for
 * the person.
 */
export type Outcome = 'taken' | 'refused' | 'met' | 'waits'
type Fields = Record<string, string>

interface Waiter {
  texts: Fields
  results: Map<string, Outcome>
  done: (outcome: Outcome) => void
  steps?: Step[]
}

interface Line {
  busy: boolean
  again: boolean
  actions: { act: () => Promise<void>; giveUp: (cause: unknown) => void }[]
  waiters: Waiter[]
  /** What a version became by an edit of this page, and the answer that said so. */
  became: Map<Version, { version: Version; answer: unknown }>
  tries: number
}

const MOST_TRIES = 4
const NO_ANSWER = [0, 401, 408, 429, 502, 503, 504]

let queries: QueryClient
const lines = new Map<string, Line>()

/** Records that are on their way now, by the name of the record. */
export const onTheirWay = reactive<Record<string, number>>({})

/** Tells where the page keeps the server's answers, and begins to send what waits. */
export function keepWith(client: QueryClient) {
  queries = client
}

function lineOf(at: Shelf, place: Place) {
  const name = `${at.owner} ${nameOf(place)}`
  let line = lines.get(name)
  if (!line) {
    line = { busy: false, again: false, actions: [], waiters: [], became: new Map(), tries: 0 }
    lines.set(name, line)
  }
  return line
}

/** The version of a record, and a field of it, as they are on the screen now. */
function caught(at: Shelf, place: Place, field: string): Pick<Entry, 'version' | 'was' | 'called'> {
  const kind = kindOf(place.kind)
  if (!kind) return {}
  const { route, name } = routeOf(kind, field)
  const shown = route.shown?.(queries, place)
  if (shown === undefined) return {}
  let part = route.partOf?.(shown, name, place)
  let version = kind.versionIn(shown, place)
  const { became } = lineOf(at, place)
  for (let next; version !== undefined && (next = became.get(version)); version = next.version) {
    part = route.partOf?.(next.answer, name, place) ?? part
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

/** Does something to a record after what waits for it, with the version it has by then. */
export function inTurn<T>(place: Place, seen: Version, act: (version: Version) => Promise<T>): Promise<T> {
  const at = shelf.value
  return new Promise((done, giveUp) => {
    const line = lineOf(at, place)
    line.actions.push({ act: async () => done(await act(newest(line, seen))), giveUp })
    void run(at, place)
  })
}

function newest({ became }: Line, version: Version) {
  for (let next; (next = became.get(version));) version = next.version
  return version
}

/** Notes what a record became by something that was done to it. */
function nowIs(line: Line, before: Version, version: Version | undefined, answer: unknown) {
  if (version !== undefined && version !== before) line.became.set(before, { version, answer })
}

/** Sends everything that waits. */
export function sendWaiting() {
  const at = shelf.value
  if (!at.owner) return
  for (const [record, fields] of Object.entries(at.records)) {
    const waiting = Object.values(fields).find((entry) => entry.state === 'waits' || entry.sent)
    const place = waiting && placeOf(record, waiting.within)
    if (place) void run(at, place)
  }
}

/** Sends everything there is, also what was typed and not left yet, and what was refused before. */
export function sendAll() {
  const at = shelf.value
  for (const [record, fields] of Object.entries(at.records)) {
    if (!placeOf(record)) continue
    for (const [field, entry] of Object.entries(fields)) {
      if (entry.state === 'typed' || entry.state === 'refused') {
        at.put(record, field, { ...entry, state: 'waits', fault: undefined, refusal: undefined })
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

async function run(at: Shelf, place: Place): Promise<void> {
  const line = lineOf(at, place)
  line.again = true
  if (line.busy) return
  line.busy = true
  onTheirWay[nameOf(place)] = 1
  try {
    await alone(`${at.owner} ${nameOf(place)}`, async () => {
      while (line.again) {
        line.again = false
        at.reread(nameOf(place))
        await work(at, place, line)
      }
    })
  } finally {
    line.busy = false
    delete onTheirWay[nameOf(place)]
  }
  // Asked for between the last look and this moment.
  if (line.again) await run(at, place)
}

// Tabs of one browser share what waits: only one of them sends a record's edits at a time.
async function alone(name: string, act: () => Promise<void>) {
  // What is put in the same breath goes together.
  await Promise.resolve()
  return globalThis.navigator?.locks ? void (await navigator.locks.request(name, act)) : act()
}

async function work(at: Shelf, place: Place, line: Line) {
  const kind = kindOf(place.kind)!
  for (;;) {
    const batch = batchOf(at, place, kind)
    if (batch) {
      if (!(await attempt(at, place, line, kind, batch))) return rest(line)
      continue
    }
    const next = line.actions.shift()
    if (!next) return settle(at, place, line)
    await next.act().catch(next.giveUp)
  }
}

// No answer: whoever waits is told so, and what can only be done at once is not done at all.
function rest(line: Line) {
  line.waiters.splice(0).forEach((one) => one.done('waits'))
  line.actions.splice(0).forEach((one) => one.giveUp(new ApiProblem(0, '', [], null)))
}

/** Sends a batch; false where no answer came. */
async function attempt(at: Shelf, place: Place, line: Line, kind: RecordKind, batch: Batch) {
  keepSent(at, place, batch)
  try {
    const { id, version, units } = batch
    const sent = { id, version, units, at: new Date(batch.at).toISOString(), fields: textsOf(batch) }
    const answer = await batch.route.send(place, sent)
    answered()
    line.tries = 0
    await taken(at, place, line, kind, batch, answer)
  } catch (cause) {
    const problem = cause instanceof ApiProblem ? cause : new ApiProblem(500, String(cause), [], null)
    if (isNoAnswer(line, problem)) {
      if (problem.status !== 401) unanswered(sendWaiting)
      return false
    }
    line.tries = 0
    if (problem.status === 409 && problem.theirs) met(at, place, line, kind, batch, problem.theirs)
    else refused(at, place, line, batch, problem)
  }
  settle(at, place, line)
  return true
}

// What the server fails on again and again it will fail on tomorrow; what it loses a race for is simply tried again.
function isNoAnswer(line: Line, { status, theirs }: ApiProblem) {
  if (NO_ANSWER.includes(status)) return true
  return (status >= 500 || (status === 409 && !theirs)) && ++line.tries < MOST_TRIES
}

async function taken(at: Shelf, place: Place, line: Line, kind: RecordKind, batch: Batch, answer: unknown) {
  const record = nameOf(place)
  const version = kind.versionIn(answer, place)
  nowIs(line, batch.version, version, answer)
  doubts.answered(record, Object.keys(textsOf(batch)), answer)
  // The page shows what is kept before what was typed goes: nothing falls back to the old figure for a moment.
  await shownAnew(kind, place, answer)
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (entry && entry.text === text && entry.state !== 'met') at.drop(record, field)
    note(line, field, text, 'taken')
  }
  for (const [field, entry] of Object.entries(at.of(record))) {
    if (!batch.texts.has(field) && entry.version !== batch.version) continue
    at.put(record, field, { ...entry, sent: undefined, ...rebased(kind, place, field, entry, version, answer) })
  }
  remember(place, line, kind, batch, answer)
}

// However that goes, the edit is kept; and the next one does not wait for a page that is slow to be computed.
async function shownAnew(kind: RecordKind, place: Place, answer: unknown) {
  try {
    const longEnough = new Promise((go) => setTimeout(go, 3_000))
    await Promise.race([kind.took(queries, place, answer), longEnough])
  } catch {
    // What cannot be asked now is asked when the page is looked at again.
  }
}

// An edit of this page changed the record under what is still being typed: that is no one else's change.
function rebased(
  kind: RecordKind,
  place: Place,
  field: string,
  entry: Entry,
  version: Version | undefined,
  of: unknown,
) {
  const { route, name } = routeOf(kind, field)
  const part = route.partOf?.(of, name, place)
  return { version: version ?? entry.version, was: part === undefined ? entry.was : JSON.stringify(part) }
}

function remember(place: Place, line: Line, kind: RecordKind, batch: Batch, answer: unknown) {
  const step = stepOf(place, line, kind, answer)
  if (!step) return
  const collecting = line.waiters.find(
    (one) => one.steps && [...batch.texts.keys()].some((field) => field in one.texts),
  )
  if (collecting) collecting.steps!.push(step)
  else if (place.within) stepsOf(place.within).did(step)
}

/** The step that takes an edit back by what its answer gave for that, and takes it again likewise. */
function stepOf(place: Place, line: Line, kind: RecordKind, answer: unknown): Step | null {
  if (!kind.takeBack || !kind.undoIn?.(answer)) return null
  let last = answer
  const back = () =>
    inTurn(place, null, async () => {
      // Later steps have been taken back by now: the record is what they left. Someone else's change is none of them.
      const version = newest(line, kind.versionIn(last, place)!)
      try {
        last = await kind.takeBack!(place, version, kind.undoIn!(last)!)
      } catch (cause) {
        if (cause instanceof ApiProblem && cause.theirs) kind.took(queries, place, cause.theirs)
        throw cause
      }
      nowIs(line, version, kind.versionIn(last, place), last)
      kind.took(queries, place, last)
    })
  return { undo: back, redo: back }
}

/** Someone else changed the record meanwhile. Fields they left alone go on top; the others wait for the person. */
function met(at: Shelf, place: Place, line: Line, kind: RecordKind, batch: Batch, theirs: unknown) {
  const record = nameOf(place)
  const version = kind.versionIn(theirs, place)
  kind.took(queries, place, theirs)
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (!entry) continue
    const part = batch.route.partOf?.(theirs, routeOf(kind, field).name, place)
    const same = part !== undefined && textOfPart(part, batch.units).trim() === text.trim()
    const untouched = entry.was !== undefined && entry.was === JSON.stringify(part)
    if (same && entry.text === text) at.drop(record, field)
    else if (same || untouched) at.put(record, field, { ...entry, version, was: JSON.stringify(part), sent: undefined })
    else {
      const left = JSON.stringify(part ?? null)
      at.put(record, field, { ...entry, version, theirs: left, state: 'met', sent: undefined, together: undefined })
    }
    if (same || !untouched) note(line, field, text, same ? 'taken' : 'met')
  }
  if ([...batch.texts.keys()].some((field) => at.get(record, field)?.state === 'met')) holdBack(at, record, line, batch)
}

/** Keeps what is wrong at its field; the rest goes on without it. */
function refused(at: Shelf, place: Place, line: Line, batch: Batch, problem: ApiProblem) {
  const record = nameOf(place)
  const faults = Object.fromEntries(problem.faults.map((fault) => [batch.fieldOf(fault.field), fault]))
  const own = [...batch.texts.keys()].filter((field) => faults[field])
  doubts.refused(record, Object.keys(textsOf(batch)), problem)
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (!entry) continue
    const atFault = !own.length || own.includes(field)
    const why = faults[field] ?? problem.faults[0]
    // Typed on while this was sent: the newer text has yet to be judged.
    if (!atFault || entry.text !== text) at.put(record, field, { ...entry, sent: undefined })
    else {
      const refusal = why ? undefined : { status: problem.status, detail: problem.detail }
      at.put(record, field, { ...entry, state: 'refused', sent: undefined, fault: why, refusal })
    }
    if (atFault) note(line, field, text, 'refused')
  }
  holdBack(at, record, line, batch)
}

// What belongs together is not kept in part: the rest goes back to the form it came from.
function holdBack(at: Shelf, record: string, line: Line, batch: Batch) {
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (!entry?.together || entry.state !== 'waits') continue
    at.put(record, field, { ...entry, state: 'typed', together: undefined })
    note(line, field, text, 'refused')
  }
}

function note(line: Line, field: string, text: string, outcome: Outcome) {
  for (const one of line.waiters) if (one.texts[field] === text) one.results.set(field, outcome)
}

/** Tells those whose fields are all settled what became of them. */
function settle(at: Shelf, place: Place, line: Line) {
  const record = nameOf(place)
  line.waiters = line.waiters.filter((one) => {
    const outcomes = Object.entries(one.texts).map(([field, text]): Outcome | undefined => {
      const entry = at.get(record, field)
      // Another text took its place before it was sent, or it was let go.
      return one.results.get(field) ?? (entry?.text === text && entry.state === 'waits' ? undefined : 'taken')
    })
    if (outcomes.includes(undefined)) return true
    one.done(outcomes.includes('refused') ? 'refused' : outcomes.includes('met') ? 'met' : 'taken')
    return false
  })
}

/** Sends by itself: when the page is opened, when the connection is back, when someone looks at the page again. */
export function sendByItself() {
  sendWaiting()
  globalThis.addEventListener('online', sendWaiting)
  document.addEventListener('visibilitychange', () => document.hidden || sendWaiting())
  setInterval(sendWaiting, 20_000)
}
