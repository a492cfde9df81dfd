import { ApiProblem } from '../api/client'

/**
 * A record as it stood when an edit of it was made. The edit belongs to it from then on, whatever is open on the
 * screen when its turn to be sent comes.
 */
export interface Seen {
  kind: string
  id: string
  /** Null where the record carries no version. */
  version: number | null
}

type Version = number | null

/** How an edit is sent, and where the answer, or the record as someone else left it, says its version. */
export interface Sending<T> {
  send: (version: Version) => Promise<T>
  versionIn: (answer: unknown) => Version | undefined
  /** Whether it goes on top of what someone else changed on the record meanwhile; otherwise the person is asked. */
  onTop?: boolean
}

interface Line {
  tail: Promise<unknown>
  /** What each version of this record became by an edit of this page. */
  became: Map<Version, Version>
}

const MOST_TRIES = 3
const lines = new Map<string, Line>()

function lineOf({ kind, id }: Seen) {
  const name = `${kind} ${id}`
  let line = lines.get(name)
  if (!line) lines.set(name, (line = { tail: Promise.resolve(), became: new Map() }))
  return line
}

/**
 * Keeps an edit. Edits of one record go one after the other, each with the version the one before made of the version
 * it was typed against; records do not wait for each other.
 */
export function keepEdit<T>(seen: Seen, sending: Sending<T>): Promise<T> {
  const line = lineOf(seen)
  const kept = line.tail.then(() => sendNow(line, seen, sending))
  line.tail = kept.catch(() => undefined)
  return kept
}

async function sendNow<T>(line: Line, seen: Seen, { send, versionIn, onTop }: Sending<T>): Promise<T> {
  let version = newest(line, seen.version)
  for (let tries = 1; ; tries++) {
    try {
      const answer = await send(version)
      const now = versionIn(answer)
      if (now !== undefined && now !== version) line.became.set(version, now)
      return answer
    } catch (cause) {
      if (!(cause instanceof ApiProblem) || cause.status !== 409 || !onTop || tries === MOST_TRIES) throw cause
      version = cause.theirs === null ? version : (versionIn(cause.theirs) ?? version)
    }
  }
}

function newest(line: Line, version: Version) {
  let now = version
  while (line.became.has(now)) now = line.became.get(now)!
  return now
}

/** The version of a record that says it itself. */
export const versionOf = (answer: unknown): Version | undefined => (answer as { version?: number } | null)?.version
