import { v7 } from 'uuid'
import { reactive } from 'vue'
import { ApiProblem, isNoAnswer } from '../api/client'
import { met, refused, shownAnew, taken } from './answers'
import { batchOf, keepSent, textsOf, type Batch } from './batches'
import { answered, unanswered } from './connection'
import { shelf, type Shelf } from './entries'
import { kindOf, nameOf, placeOf, type Place, type RecordKind, type Version } from './kinds'
import { lineOf, newest, nowIs, page, settle, type Line } from './lines'
import { FIRM, stepsOf, type Step } from './steps'

const MOST_TRIES = 4

/** Records that are on their way now, by the name of the record. */
export const onTheirWay = reactive<Record<string, number>>({})

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

/** Does something to a record after what waits for it, with the version it has by then. */
export function inTurn<T>(place: Place, seen: Version, act: (version: Version) => Promise<T>): Promise<T> {
  const at = shelf.value
  return new Promise((done, giveUp) => {
    const line = lineOf(at, place)
    const refused = (cause: unknown) => {
      // The page shows the record as it is by now: what is done again is done to that.
      if (cause instanceof ApiProblem && cause.theirs) kindOf(place.kind)!.took(page.queries, place, cause.theirs)
      giveUp(cause)
    }
    line.actions.push({ act: async () => done(await act(newest(line, seen))), giveUp: refused })
    void run(at, place)
  })
}

/** Sends what waits of a record, one batch after the other; at once if nothing of it is under way. */
export async function run(at: Shelf, place: Place): Promise<void> {
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
    remember(place, line, kind, batch, answer)
  } catch (cause) {
    const problem = cause instanceof ApiProblem ? cause : new ApiProblem(500, String(cause), [], null)
    if (waitsOn(line, problem)) {
      if (problem.status !== 401) unanswered(problem.outage, sendWaiting)
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
function waitsOn(line: Line, problem: ApiProblem) {
  const { status, theirs } = problem
  if (status === 401 || isNoAnswer(problem)) return true
  return (status >= 500 || (status === 409 && !theirs)) && ++line.tries < MOST_TRIES
}

function remember(place: Place, line: Line, kind: RecordKind, batch: Batch, answer: unknown) {
  if (kind.stands) return
  const step = stepOf(place, line, batch.id, kind.versionIn(answer, place) ?? null)
  const collecting = line.waiters.find(
    (one) => one.steps && [...batch.texts.keys()].some((field) => field in one.texts),
  )
  if (collecting) collecting.steps!.push(step)
  else stepsOf(place.within ?? FIRM).did(step)
}

/** The step that takes a command back, and then takes that back likewise. */
function stepOf(place: Place, line: Line, first: string, after: Version): Step {
  let [command, version] = [first, after]
  // Asked for again where no answer came: it is the same asking.
  let id = v7()
  const back = () =>
    inTurn(place, null, async () => {
      const before = newest(line, version)
      try {
        const answer = await page.takeBack(command, id)
        nowIs(line, before, answer.version ?? undefined)
        ;[command, version, id] = [id, answer.version ?? before, v7()]
      } finally {
        // Also where it was refused: what the page shows is older than what someone else made of it.
        await shownAnew(() => page.queries.invalidateQueries())
      }
    })
  return { undo: back, redo: back }
}
