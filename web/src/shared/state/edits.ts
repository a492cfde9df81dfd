import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'
import { forget, put, type Outcome } from '../keeping/editor'
import { shelf, type Entry } from '../keeping/entries'
import { nameOf, type Place } from '../keeping/kinds'
import { useReader } from './reader'

/** Records kept by controls that are set at once: ticks, counts, lists of names. */
export function useEdits() {
  const reader = useReader()
  const { sentence, general } = useProblems()

  /** Why an entry was refused; empty where it was not. */
  function faultOf(entry: Entry | undefined) {
    if (entry?.fault) return sentence(entry.fault)
    return entry?.refusal ? general(new ApiProblem(entry.refusal.status, entry.refusal.detail, [], null)) : ''
  }

  const entryAt = (place: Place, field: string): Entry | undefined => shelf.value.get(nameOf(place), field)

  return {
    faultOf,
    /** What was entered and is not kept yet, else what is. */
    textOf: (place: Place, field: string, kept: string) => entryAt(place, field)?.text ?? kept,
    /** Why something of a record was refused; empty where nothing was. */
    faultAt: (place: Place) =>
      Object.values(shelf.value.of(nameOf(place)))
        .map(faultOf)
        .find(Boolean) ?? '',
    keep: (place: Place, fields: Record<string, string>): Promise<Outcome> =>
      put(place, fields, { units: reader.units }),
    forget,
  }
}
