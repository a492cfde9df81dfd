import { computed, reactive, ref } from 'vue'
import { nowMs } from '../state/clock'
import type { FieldFault } from '../api/client'
import type { Units } from '../state/reader'

/**
 * What was entered on this device and has not been taken by the server yet. It outlives a refresh, a closed tab and a
 * sign-out, is the same in every tab, and belongs to the person who entered it: whoever signs in next sees none of it.
 * Every field has a place of its own in the browser's storage, so that two tabs never write over each other.
 */
export interface Entry {
  text: string
  /** The system it was typed in; absent on what an earlier version kept. */
  units?: Units
  /** When it was entered, by the clock of this device, in milliseconds. */
  at: number
  /**
   * Typed: the person has not left the field, or the form not been sent. Waits: it is on its way, or will be.
   * Refused: the server does not take it. Met: someone else changed the same field.
   */
  state: 'typed' | 'waits' | 'refused' | 'met'
  /** The version of the record that was on the screen. */
  version?: number | null
  /** The field as it was then, as JSON; absent where it was not known. */
  was?: string
  /** The field as someone else left it, as JSON, where the two met. */
  theirs?: string
  /** The job the record belongs to. */
  within?: string
  /** What the record is called, so that it can be told where it is not on the page. */
  called?: string
  /** Fields with one mark are taken or refused together. */
  together?: string
  /** What was sent under which id while no answer has come. */
  sent?: { id: string; text: string }
  /** Why it was refused: for its text, or for another reason told by the status. */
  fault?: FieldFault
  refusal?: { status: number; detail: string }
}

type Fields = Record<string, Entry>

export interface Shelf {
  readonly owner: string
  /** By record, then by field. */
  readonly records: Readonly<Record<string, Fields>>
  get(record: string, field: string): Entry | undefined
  of(record: string): Readonly<Fields>
  put(record: string, field: string, entry: Entry): void
  drop(record: string, ...fields: string[]): void
  /** Reads a record again as another tab may have left it. */
  reread(record: string): void
}

const PREFIX = 'entry'
const owner = ref('')
const shelves = new Map<string, Shelf>()

/** What the person who is signed in has entered. */
export const shelf = computed(() => shelfOf(owner.value))

/** Tells whose entries are shown from now on; nobody's while nobody is signed in. */
export function entriesBelongTo(person: string) {
  if (person) adoptDrafts(person)
  owner.value = person
}

const keyOf = (person: string, record: string, field: string) => [PREFIX, person, record, field].join(':')

function partsOf(key: string) {
  const [prefix, person, record, ...field] = key.split(':')
  return prefix === PREFIX && record && field.length ? { person: person!, record, field: field.join(':') } : null
}

function shelfOf(person: string): Shelf {
  let found = shelves.get(person)
  if (!found) shelves.set(person, (found = openShelf(person)))
  return found
}

function openShelf(person: string): Shelf {
  const records = reactive<Record<string, Fields>>({})
  const into = (record: string) => (records[record] ??= {})
  const take = (record: string, field: string, stored: string | null) => {
    const entry = entryIn(stored)
    if (entry) into(record)[field] = entry
    else remove(record, field)
  }
  const remove = (record: string, field: string) => {
    if (!records[record]) return
    delete records[record][field]
    if (!Object.keys(records[record]).length) delete records[record]
  }
  for (const key of Object.keys(localStorage)) {
    const parts = partsOf(key)
    if (parts?.person === person) take(parts.record, parts.field, localStorage.getItem(key))
  }
  return {
    owner: person,
    records,
    get: (record, field) => records[record]?.[field],
    of: (record) => records[record] ?? {},
    put(record, field, entry) {
      into(record)[field] = entry
      write(keyOf(person, record, field), JSON.stringify(entry))
    },
    drop(record, ...fields) {
      for (const field of fields) {
        remove(record, field)
        localStorage.removeItem(keyOf(person, record, field))
      }
    },
    reread(record) {
      const stored = Object.keys(localStorage).map(partsOf)
      const there = stored.flatMap((one) => (one?.person === person && one.record === record ? [one.field] : []))
      for (const field of new Set([...Object.keys(records[record] ?? {}), ...there])) {
        const key = keyOf(person, record, field)
        if (!unwritten.has(key)) take(record, field, localStorage.getItem(key))
      }
    },
  }
}

// A full storage must not keep anyone from typing: what no longer fits is kept for as long as the page is open.
const unwritten = new Set<string>()

function write(key: string, text: string) {
  try {
    localStorage.setItem(key, text)
    unwritten.delete(key)
  } catch {
    localStorage.removeItem(key)
    unwritten.add(key)
  }
}

function entryIn(stored: string | null): Entry | null {
  try {
    const read = JSON.parse(stored ?? 'null') as Entry | null
    return typeof read?.text === 'string' ? read : null
  } catch {
    return null
  }
}

// What another tab of this browser entered or sent.
globalThis.addEventListener?.('storage', ({ key }) => {
  if (key === null) return [...shelves.values()].forEach((one) => Object.keys(one.records).forEach(one.reread))
  const parts = partsOf(key)
  if (parts) shelves.get(parts.person)?.reread(parts.record)
})

/**
 * Drafts as the version before kept them: under a person's name, the texts of a whole page in one place. They become
 * entries that wait for the person.
 */
function adoptDrafts(person: string) {
  const [prefix, into] = [`draft:${person}:`, shelfOf(person)]
  for (const key of Object.keys(localStorage).filter((one) => one.startsWith(prefix))) {
    const name = key.slice(prefix.length)
    for (const [field, text] of Object.entries(textsIn(localStorage.getItem(key)))) {
      const to = placeOf(name, field)
      const isNewer = into.get(to.record, to.field) !== undefined
      if (!isNewer) into.put(to.record, to.field, { text, at: nowMs(), state: 'typed', within: to.within })
    }
    localStorage.removeItem(key)
  }
}

const RENAMED: Record<string, string> = { firm: 'firm.own', 'place.new': 'placeForm.new' }

// The grid kept all surfaces of a job together, and what was said of a surface on the page of choices apart from it.
function placeOf(name: string, field: string) {
  if (name.startsWith('grid.')) {
    const cut = field.indexOf('.')
    return { record: `surface.${field.slice(0, cut)}`, field: field.slice(cut + 1), within: name.slice(5) }
  }
  if (name.startsWith('facts.')) return { record: `surface.${name.slice(6)}`, field: `facts.${field}` }
  return { record: RENAMED[name] ?? name.replace(/^job\.form\./, 'jobForm.').replace(/^fan\.new\./, 'fanForm.'), field }
}

function textsIn(stored: string | null): Record<string, string> {
  try {
    const read: unknown = JSON.parse(stored ?? '{}')
    const entries = typeof read === 'object' && read !== null ? Object.entries(read) : []
    return Object.fromEntries(entries.filter((entry): entry is [string, string] => typeof entry[1] === 'string'))
  } catch {
    return {}
  }
}
