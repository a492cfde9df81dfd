import { computed } from 'vue'
import { forget } from '../keeping/editor'
import { shelf, type Entry } from '../keeping/entries'
import { placeOf } from '../keeping/kinds'
import { useEdits } from './edits'

type Fields = Record<string, Entry>

/**
 * Entries of a log that were made here and have not been taken yet: they are named by what they are of and by an id of their own.
 * @param kind The kind of record.
 * @param isHere Whether an entry belongs to what is on the screen.
 */
export function useWaiting(kind: string, isHere: (of: string, fields: Fields) => boolean) {
  const edits = useEdits()
  const mine = computed(() =>
    Object.entries(shelf.value.records).flatMap(([record, fields]) => {
      const [of, entry] = record.startsWith(`${kind}.`) ? record.slice(kind.length + 1).split('/') : []
      return of && entry && isHere(of, fields) ? [{ record, entry, fields }] : []
    }),
  )

  return {
    /** Those that wait to be sent. */
    waiting: computed(() => mine.value.filter(({ fields }) => states(fields).every((state) => state === 'waits'))),
    /** Those that were refused, each with its sentence. */
    faults: computed(() =>
      mine.value
        .filter(({ fields }) => states(fields).includes('refused'))
        .map(({ record, fields }) => ({ record, fault: edits.faultAt(placeOf(record, withinOf(fields))!) })),
    ),
    letGo: (record: string) => {
      const place = placeOf(record)
      if (place) forget(place, ...Object.keys(shelf.value.of(record)))
    },
  }
}

/** The job an entry was made in. */
export const withinOf = (fields: Fields) => Object.values(fields)[0]?.within

const states = (fields: Fields) => Object.values(fields).map(({ state }) => state)
