import { computed } from 'vue'
import { shelf, type Entry } from './entries'
import { placeOf } from './kinds'

export interface Unsent {
  /** The record, or the form something was begun in. */
  record: string
  kind: string
  within?: string
  fields: { field: string; entry: Entry }[]
  /** How it stands: what needs the person comes before what only waits. */
  state: Entry['state']
}

const URGENCY: readonly Entry['state'][] = ['met', 'refused', 'waits', 'typed']

/** Everything that was entered on this device and that the server has not taken, by record. */
export const unsent = computed<Unsent[]>(() =>
  Object.entries(shelf.value.records).map(([record, fields]) => {
    const entries = Object.entries(fields).map(([field, entry]) => ({ field, entry }))
    return {
      record,
      kind: record.slice(0, record.indexOf('.')),
      within: entries[0]?.entry.within,
      fields: entries,
      state: URGENCY.find((state) => entries.some(({ entry }) => entry.state === state)) ?? 'typed',
    }
  }),
)

/** How many things have not been taken: each field of a record that stands, and each form that was begun, counts as one. */
export const unsentCount = computed(() => unsent.value.reduce((sum, one) => sum + countOf(one), 0))

export const countOf = ({ record, fields }: Unsent) => (placeOf(record) && !isOne(record) ? fields.length : 1)

// A reading or a note is entered as one, however many fields it has.
const isOne = (record: string) => record.includes('/')

/** Whether figures of a job do not contain yet what was entered: what is being typed right now does not count. */
export const behind = (job: string) =>
  unsent.value
    .filter((one) => placeOf(one.record) && one.state !== 'typed' && (one.within === job || !one.within))
    .reduce((sum, one) => sum + countOf(one), 0)
