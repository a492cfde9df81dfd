import { useProblems } from '../figures/problems'
import { forget, put, type Outcome } from '../keeping/editor'
import { shelf, type Entry } from '../keeping/entries'
import { nameOf, type Place } from '../keeping/kinds'
import { doubts } from './doubts'
import { useReader } from './reader'

/** Records kept by controls that are set at once: ticks, counts, lists of names. */
export function useEdits() {
  const reader = useReader()
  const { ofRefused } = useProblems()

  const entryAt = (place: Place, field: string): Entry | undefined => shelf.value.get(nameOf(place), field)

  return {
    /** What was entered and is not kept yet, else what is. */
    textOf: (place: Place, field: string, kept: string) => entryAt(place, field)?.text ?? kept,
    /** Why something of a record was refused, or one field of it; empty where nothing was. */
    faultAt: (place: Place, only?: string) =>
      Object.entries(shelf.value.of(nameOf(place)))
        .filter(([field]) => !only || field === only)
        .map(([, entry]) => ofRefused(entry))
        .find(Boolean) ?? '',
    /** What may have been meant otherwise in a field that was kept. */
    doubtAt: (place: Place, field: string) => doubts.of(nameOf(place))[field],
    right: (place: Place, field: string) => doubts.drop(nameOf(place), field),
    keep: (place: Place, fields: Record<string, string>): Promise<Outcome> =>
      put(place, fields, { units: reader.units }),
    /** Keeps them in a request of their own, with the time they were entered at, whatever else of the record waits. */
    keepApart: (place: Place, fields: Record<string, string>): Promise<Outcome> =>
      put(place, fields, { units: reader.units, together: true }),
    forget,
  }
}
