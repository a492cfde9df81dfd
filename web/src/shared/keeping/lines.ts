import type { QueryClient } from '@tanstack/vue-query'
import { api, ask } from '../api/client'
import { nowMs } from '../state/clock'
import type { Shelf } from './entries'
import { nameOf, type Place, type Version } from './kinds'
import type { Step } from './steps'

/** What became of an edit: taken, refused, met by someone else's change, or waiting for an answer. */
export type Outcome = 'taken' | 'refused' | 'met' | 'waits'
type Fields = Record<string, string>

export interface Waiter {
  texts: Fields
  results: Map<string, Outcome>
  done: (outcome: Outcome) => void
  steps?: Step[]
}

/** The queue of one record. */
export interface Line {
  busy: boolean
  again: boolean
  actions: { act: () => Promise<void>; giveUp: (cause: unknown) => void }[]
  waiters: Waiter[]
  /** What a version became by an edit of this page, and the answer that said so. */
  became: Map<Version, { version: Version; answer?: unknown }>
  tries: number
}

const lines = new Map<string, Line>()

/** Takes a command back, as a command of its own; gives the record's version after that. */
export type TakesBack = (command: string, id: string) => Promise<{ version?: Version }>

/** Where the page keeps the server's answers, and how a command is taken back. */
export const page = { queries: undefined as unknown as QueryClient, takeBack: undefined as unknown as TakesBack }

/** Tells where the page keeps the server's answers, and how a command is taken back. */
export function keepWith(queries: QueryClient, takeBack: TakesBack = asksServer) {
  Object.assign(page, { queries, takeBack })
}

const asksServer: TakesBack = (command, id) => {
  const at = new Date(nowMs()).toISOString()
  return ask(api.POST('/api/commands/{id}/undo', { params: { path: { id: command } }, body: { id, at } }))
}

export function lineOf(at: Shelf, place: Place) {
  const name = `${at.owner} ${nameOf(place)}`
  let line = lines.get(name)
  if (!line) {
    line = { busy: false, again: false, actions: [], waiters: [], became: new Map(), tries: 0 }
    lines.set(name, line)
  }
  return line
}

export function newest({ became }: Line, version: Version) {
  for (let next; (next = became.get(version));) version = next.version
  return version
}

/** Notes what a record became by something that was done to it. */
export function nowIs(line: Line, before: Version, version: Version | undefined, answer?: unknown) {
  if (version !== undefined && version !== before) line.became.set(before, { version, answer })
}

export function note(line: Line, field: string, text: string, outcome: Outcome) {
  for (const one of line.waiters) if (one.texts[field] === text) one.results.set(field, outcome)
}

/** Tells those whose fields are all settled what became of them. */
export function settle(at: Shelf, place: Place, line: Line) {
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
