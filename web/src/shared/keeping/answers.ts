import type { ApiProblem } from '../api/client'
import { doubts } from '../state/doubts'
import { textsOf, type Batch } from './batches'
import type { Entry, Shelf } from './entries'
import { nameOf, routeOf, textOfPart, type Place, type RecordKind, type Version } from './kinds'
import { note, nowIs, page, type Line, type Outcome } from './lines'

/** The server took a batch: what was typed goes once the page shows it. */
export async function taken(at: Shelf, place: Place, line: Line, kind: RecordKind, batch: Batch, answer: unknown) {
  const record = nameOf(place)
  const version = kind.versionIn(answer, place)
  nowIs(line, batch.version, version, answer)
  doubts.answered(record, Object.keys(textsOf(batch)), answer)
  // The page shows what is kept before what was typed goes: nothing falls back to the old figure for a moment.
  await shownAnew(() => kind.took(page.queries, place, answer))
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (entry && entry.text === text && entry.state !== 'met') at.drop(record, field)
    note(line, field, text, 'taken')
  }
  for (const [field, entry] of Object.entries(at.of(record))) {
    if (!batch.texts.has(field) && entry.version !== batch.version) continue
    at.put(record, field, { ...entry, sent: undefined, ...rebased(kind, place, field, entry, version, answer) })
  }
}

// However that goes, the edit is kept; and the next one does not wait for a page that is slow to be computed.
export async function shownAnew(show: () => unknown) {
  try {
    const longEnough = new Promise((go) => setTimeout(go, 3_000))
    await Promise.race([show(), longEnough])
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

/** Someone else changed the record meanwhile. Fields they left alone go on top; the others wait for the person. */
export function met(at: Shelf, place: Place, line: Line, kind: RecordKind, batch: Batch, theirs: unknown) {
  const record = nameOf(place)
  const version = kind.versionIn(theirs, place)
  kind.took(page.queries, place, theirs)
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
  if ([...batch.texts.keys()].some((field) => at.get(record, field)?.state === 'met'))
    holdBack(at, record, line, batch, 'met')
}

/** Keeps what is wrong at its field; the rest goes on without it. */
export function refused(at: Shelf, place: Place, line: Line, batch: Batch, problem: ApiProblem) {
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
  holdBack(at, record, line, batch, 'refused')
}

// What belongs together is not kept in part: the rest goes back to the form it came from.
function holdBack(at: Shelf, record: string, line: Line, batch: Batch, outcome: Outcome) {
  for (const [field, text] of batch.texts) {
    const entry = at.get(record, field)
    if (!entry?.together || entry.state !== 'waits') continue
    at.put(record, field, { ...entry, state: 'typed', together: undefined })
    note(line, field, text, outcome)
  }
}
