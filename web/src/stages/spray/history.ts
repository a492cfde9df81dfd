import type { Schemas } from '@/shared/api/client'

type Logged = Schemas['LogEntryDocument']

/** A line of the log: what is in force, and what it was before. */
export interface Line {
  /** The entry everything else of the line corrects. */
  root: string
  /** The entry that was said last. */
  last: string
  /** What is in force; of what was deleted, what it was. */
  entry: Logged
  was?: Logged
  isGone: boolean
}

/** The log by lines, the newest first: a correction is told with what it corrects. */
export function historyOf(entries: readonly Logged[]): Line[] {
  const known = new Map(entries.map((entry) => [entry.id, entry]))
  const lines = new Map<string, Logged[]>()
  for (const entry of known.values()) {
    const root = rootOf(entry, known)
    lines.set(root, [...(lines.get(root) ?? []), entry])
  }
  return [...lines]
    .map(lineOf)
    .toSorted((one, other) => since(one.entry.at, other.entry.at) || other.root.localeCompare(one.root))
}

// Device and server write the same instant in different ways.
const since = (before: string, now: string) => Date.parse(now) - Date.parse(before)

function lineOf([root, said]: [string, Logged[]]): Line {
  const inOrder = said.toSorted((one, other) => since(other.saidAt, one.saidAt) || one.id.localeCompare(other.id))
  const told = inOrder.filter(({ kind }) => kind !== 'withdrawn')
  const last = inOrder.at(-1)!
  const entry = told.at(-1) ?? last
  return { root, last: last.id, entry, was: told.at(-2), isGone: last.kind === 'withdrawn' }
}

// A ring is broken where it was entered.
function rootOf(entry: Logged, known: ReadonlyMap<string, Logged>) {
  const seen = new Set([entry.id])
  let root = entry.id
  for (let next = entry.replaces; next && !seen.has(next); next = known.get(next)?.replaces) {
    seen.add(next)
    root = next
  }
  return root
}
