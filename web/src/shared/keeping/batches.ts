import { v7 } from 'uuid'
import type { Units } from '../state/reader'
import type { Entry, Shelf } from './entries'
import { nameOf, routeOf, type Place, type RecordKind, type Route, type Version } from './kinds'

/** Fields of one record that are sent in one request. */
export interface Batch {
  id: string
  at: number
  route: Route
  version: Version
  units: Units
  /** Texts by the field as the page names it. */
  texts: Map<string, string>
  /** The field as the page names it, by the name it is sent under. */
  fieldOf: (name: string) => string
}

/** Texts by the names they are sent under. */
export const textsOf = ({ texts, fieldOf }: Batch) => {
  const prefix = fieldOf('').length
  return Object.fromEntries([...texts].map(([field, text]) => [field.slice(prefix), text]))
}

/**
 * What is sent next. What no answer has come for goes again exactly as it went before, under its own id: the server then
 * knows whether it has it. Otherwise all that waits and fits into one request.
 */
export function batchOf(at: Shelf, place: Place, kind: RecordKind): Batch | null {
  const all = Object.entries(at.of(nameOf(place))).filter(([, entry]) => entry.state !== 'met')
  const open = all.find(([, entry]) => entry.sent)?.[1].sent
  if (open) {
    const same = all.filter(([, entry]) => entry.sent?.id === open.id)
    return made(kind, same, open.id, (entry) => entry.sent!.text)
  }
  const waiting = all.filter(([, entry]) => entry.state === 'waits').sort(([, a], [, b]) => a.at - b.at)
  const first = waiting[0]
  if (!first) return null
  const fits = waiting.filter(([field, entry]) => isLike(kind, first, [field, entry]))
  return made(kind, fits, v7(), (entry) => entry.text)
}

type Named = [field: string, entry: Entry]

function isLike(kind: RecordKind, [field, entry]: Named, [otherField, other]: Named) {
  return (
    routeOf(kind, field).way === routeOf(kind, otherField).way &&
    entry.units === other.units &&
    entry.version === other.version &&
    entry.together === other.together
  )
}

function made(kind: RecordKind, entries: Named[], id: string, textOf: (entry: Entry) => string): Batch {
  const [field, entry] = entries[0]!
  const { route, way } = routeOf(kind, field)
  return {
    id,
    at: Math.max(...entries.map(([, one]) => one.at)),
    route,
    version: entry.version ?? null,
    units: entry.units ?? 'us',
    texts: new Map(entries.map(([name, one]) => [name, textOf(one)])),
    fieldOf: (name) => (way ? `${way}.${name}` : name),
  }
}

/** Notes with the entries under which id they go out. */
export function keepSent(at: Shelf, place: Place, { id, texts }: Batch) {
  for (const [field, text] of texts) {
    const entry = at.get(nameOf(place), field)!
    if (entry.sent?.id !== id) at.put(nameOf(place), field, { ...entry, sent: { id, text } })
  }
}
