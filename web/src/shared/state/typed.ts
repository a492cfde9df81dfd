import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useI18n } from 'vue-i18n'
import { useProblems } from '../figures/problems'
import { decide, forget, onTheirWay, put, type } from '../keeping/editor'
import { shelf, type Entry } from '../keeping/entries'
import { nameOf, routeOf, kindOf, textOfPart, type Place } from '../keeping/kinds'
import { connection } from '../keeping/connection'
import { doubts } from './doubts'
import { useReader } from './reader'

type Fields = Record<string, string>

/** A field two people changed: what was typed here, and what it says now. */
export interface Meeting {
  field: string
  mine: string
  theirs: string
}

/**
 * Fields of one record, typed and kept one by one. What is typed outlives everything until it is kept, and a fault stays
 * at its field with it. Where the page goes on to another record, each has its own.
 */
export function useTyped(record: MaybeRefOrGetter<Place>) {
  const reader = useReader()
  const { t } = useI18n()
  const { sentence, ofRefused } = useProblems()
  const place = () => toValue(record)
  const name = () => nameOf(place())
  const entries = computed(() => shelf.value.of(name()))
  const of = (field: string) => shelf.value.get(name(), field)
  const units = () => reader.units

  const faults = computed<Fields>(() =>
    Object.fromEntries(
      Object.entries(entries.value).flatMap(([field, { fault }]) => (fault ? [[field, sentence(fault)]] : [])),
    ),
  )
  const drafts = computed<Fields>(() =>
    Object.fromEntries(Object.entries(entries.value).map(([field, entry]) => [field, entry.text])),
  )
  // Of the whole record: what no field is at fault for.
  const notice = computed(() => {
    const refused = Object.values(entries.value).find((entry) => entry.refusal)
    if (refused) return ofRefused({ refusal: refused.refusal })
    const waits = Object.values(entries.value).some((entry) => entry.state === 'waits')
    return waits && connection.lost ? t(`problem.waits.${connection.why}`) : ''
  })
  const meetings = computed<Meeting[]>(() =>
    Object.entries(entries.value)
      .filter(([, entry]) => entry.state === 'met')
      .map(([field, entry]) => ({ field, mine: entry.text, theirs: theirsOf(entry, units()) })),
  )
  const localName = (field: string) => routeOf(kindOf(place().kind)!, field).name
  const doubtOf = (field: string) => doubts.of(name())[localName(field)]
  const right = (field: string) => doubts.drop(name(), localName(field))

  function forgetHere(field: string) {
    forget(place(), field)
    // Of a refusal nothing is left to put right; a doubt about what was taken stays.
    if (doubtOf(field)?.code === 'instead') right(field)
  }

  /** Keeps several fields; says whether they were taken. */
  const putAt = async (at: Place, fields: Fields) => (await put(at, fields, { units: units() })) === 'taken'

  return {
    place,
    drafts,
    faults,
    notice,
    meetings,
    busy: computed(() => name() in onTheirWay),
    text: (field: string, kept: string) => of(field)?.text ?? kept,
    type: (field: string, text: string) => type(place(), field, text, units()),
    forget: forgetHere,
    meetingAt: (field: string) => meetings.value.find((one) => one.field === field),
    decide: (field: string, which: 'mine' | 'theirs') => decide(place(), field, which),
    waits: (field: string) => of(field)?.state === 'waits',
    put: (fields: Fields) => putAt(place(), fields),
    /** The record in hand, for an edit that begins now and is kept later. */
    here() {
      const at = place()
      return { put: (fields: Fields) => putAt(at, fields) }
    },
    /** Keeps a field as it was typed, unless that is what is kept already. */
    async commit(field: string, kept: string) {
      const entry = of(field)
      if (!entry || entry.state === 'met') return
      if (entry.text.trim() === kept.trim() && entry.state !== 'waits') return forgetHere(field)
      if (entry.state !== 'waits') await putAt(place(), { [field]: entry.text })
    },
    doubtOf,
    right,
  }
}

export const theirsOf = (entry: Entry, units: 'us' | 'metric') =>
  textOfPart(JSON.parse(entry.theirs ?? 'null') as unknown, units)

export type Typed = ReturnType<typeof useTyped>
