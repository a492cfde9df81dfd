import type { QueryClient } from '@tanstack/vue-query'
import type { Units } from '../state/reader'

/** A record of the server that fields are kept in. */
export interface Place {
  kind: string
  id: string
  /** The job it belongs to. */
  within?: string
}

export type Version = number | null

/** Fields as they are sent: with an id made here, so that a repeat is answered as the first was. */
export interface Sent {
  id: string
  at: string
  version: Version
  units: Units
  fields: Record<string, string>
}

/** A way fields of a record are sent. */
export interface Route {
  send: (place: Place, sent: Sent) => Promise<unknown>
  /** The record as the page has it, where it has it. */
  shown?: (queries: QueryClient, place: Place) => unknown
  /** What a refusal for a conflict, or an answer, says of a field; undefined where it says nothing. */
  partOf?: (answer: unknown, field: string, place: Place) => unknown
}

/** A kind of record: how it is sent, and what an answer to an edit changes on the page. */
export interface RecordKind {
  /** By what its fields begin with, up to the dot; the empty one takes the others. */
  routes: Record<string, Route>
  versionIn: (answer: unknown, place: Place) => Version | undefined
  /** Shows an answer; done once the pages that show the record's own fields have them. */
  took: (queries: QueryClient, place: Place, answer: unknown) => unknown
  /** Whether what is entered stands, as a reading does: it is not taken back as an edit is. */
  stands?: boolean
}

const kinds = new Map<string, RecordKind>()

/** Makes a kind of record known by its name. */
export function keeps(kind: string, how: RecordKind) {
  kinds.set(kind, how)
}

export const kindOf = (kind: string) => kinds.get(kind)
export const nameOf = ({ kind, id }: Place) => `${kind}.${id}`

/** The record an entry belongs to; null where it is a form that makes a new one. */
export function placeOf(record: string, within?: string): Place | null {
  const cut = record.indexOf('.')
  const kind = record.slice(0, cut)
  return kinds.has(kind) ? { kind, id: record.slice(cut + 1), within } : null
}

/** The way a field is sent, and the field's name on that way. */
export function routeOf(kind: RecordKind, field: string): { route: Route; way: string; name: string } {
  const cut = field.indexOf('.')
  const way = cut < 0 ? '' : field.slice(0, cut)
  const route = kind.routes[way]
  return route && way ? { route, way, name: field.slice(cut + 1) } : { route: kind.routes['']!, way: '', name: field }
}

type Parts = Record<string, unknown>

/** The part of a record a field is typed into, looked up by its name: in the record, its details, or its figures. */
export function partIn(record: unknown, field: string, others: Record<string, string> = {}): unknown {
  const name = others[field] ?? field
  const of = record as (Parts & { details?: Parts; figures?: Parts }) | null
  return of?.[name] ?? of?.details?.[name] ?? of?.figures?.[name] ?? firstKnown(of?.[name], of?.details?.[name])
}

const firstKnown = (...parts: unknown[]) => (parts.some((part) => part === null) ? null : undefined)

/** A part of a record as a person would type it. */
export function textOfPart(part: unknown, units: Units): string {
  if (part === null || part === undefined) return ''
  if (typeof part === 'boolean') return part ? 'yes' : 'no'
  if (Array.isArray(part)) return part.map((one) => textOfPart(one, units)).join('; ')
  if (typeof part !== 'object') return String(part)
  const of = part as Parts
  // Money is typed without its sign.
  if (typeof of[units] === 'string') return of[units].replace('¤', '')
  if (typeof of.material === 'string') return `${of.material} | ${textOfPart(of.thickness, units)}`
  return Object.values(of)
    .map((one) => textOfPart(one, units))
    .join(',')
}
