import { reactive } from 'vue'
import { ApiProblem, doubtsOf, type FieldDoubt } from '../api/client'

type ByField = Record<string, FieldDoubt>

// By record, so that a page that opens after a form was closed still marks what the form was in doubt about.
const byRecord = reactive<Record<string, ByField>>({})

/** What may have been meant otherwise in the fields of records. */
export const doubts = {
  of: (record: string): Readonly<ByField> => byRecord[record] ?? {},
  drop(record: string, field: string) {
    if (byRecord[record]) delete byRecord[record][field]
  },
  /** What was in doubt about a record that is gone is in doubt about what it came from. */
  move(from: string, to: string) {
    byRecord[to] = { ...byRecord[to], ...byRecord[from] }
    delete byRecord[from]
  },
  /** Notes what an answer to an edit was in doubt about; fields it is not in doubt about any more are clear. */
  answered(record: string, fields: readonly string[], answer: unknown) {
    mark(record, fields, doubtsOf(answer))
  },
  /** Notes what a refusal would take instead. */
  refused(record: string, fields: readonly string[], cause: unknown) {
    const faults = cause instanceof ApiProblem ? cause.faults : []
    const instead = faults.flatMap(({ field, other }) => (other ? [{ field, code: 'instead', other }] : []))
    mark(record, fields, instead)
  },
}

function mark(record: string, fields: readonly string[], found: readonly FieldDoubt[]) {
  const marked = (byRecord[record] ??= {})
  for (const field of fields) delete marked[field]
  for (const doubt of found) if (fields.includes(doubt.field)) marked[doubt.field] = doubt
}
