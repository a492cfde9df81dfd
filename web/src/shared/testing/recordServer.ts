import { QueryClient } from '@tanstack/vue-query'
import { ApiProblem, type FieldFault } from '../api/client'
import { connection } from '../keeping/connection'
import { keepWith } from '../keeping/editor'
import { entriesBelongTo, shelf, type Entry } from '../keeping/entries'
import { keeps, type Sent } from '../keeping/kinds'

export interface Row {
  id: string
  version: number
  [field: string]: unknown
}

/** A server of one kind of record, that can be slow, fail, lose its answers, and know a repeat. */
function server(kind: string) {
  const rows = new Map<string, Row>()
  const known = new Map<string, { of: Row; before: Record<string, unknown>; after: Record<string, unknown> }>()
  const log: { id: string; fields: Record<string, string> }[] = []
  const held: (() => void)[] = []
  const of = {
    log,
    /** What is asked next: an answer, a failure, or no answer though it was taken. */
    mode: 'well' as 'well' | 'held' | 'lost' | 'answerLost' | number,
    faults: {} as Record<string, FieldFault>,
    row: (id: string) => {
      if (!rows.has(id)) rows.set(id, { id, version: 1, name: `${id} name`, size: `${id} size` })
      return rows.get(id)!
    },
    byAnother(id: string, fields: Record<string, string>) {
      Object.assign(of.row(id), fields, { version: of.row(id).version + 10 })
    },
    let() {
      of.mode = 'well'
      held.splice(0).forEach((go) => go())
    },
    queries: new QueryClient(),
    show: (id: string) => of.queries.setQueryData(['row', id], { ...of.row(id) }),
  }

  async function send(id: string, sent: Sent) {
    if (of.mode === 'held') await new Promise<void>((go) => held.push(go))
    if (of.mode === 'lost') throw new ApiProblem(0, '', [], null)
    if (typeof of.mode === 'number') throw new ApiProblem(of.mode, 'no', [], null)
    const row = of.row(id)
    if (!known.has(sent.id)) {
      const faults = Object.keys(sent.fields).flatMap((field) => of.faults[field] ?? [])
      if (faults.length) throw new ApiProblem(400, 'no', faults, null)
      if (sent.version !== row.version) throw new ApiProblem(409, '', [], { ...row })
      const before = Object.fromEntries(Object.keys(sent.fields).map((field) => [field, row[field]]))
      known.set(sent.id, { of: row, before, after: sent.fields })
      log.push({ id, fields: sent.fields })
      Object.assign(row, sent.fields, { version: row.version + 1 })
    }
    if (of.mode === 'answerLost') throw new ApiProblem(0, '', [], null)
    return { ...row }
  }

  keeps(kind, {
    routes: {
      '': {
        send: ({ id }, sent) => send(id, sent),
        shown: (queries, { id }) => queries.getQueryData(['row', id]),
        partOf: (answer, field) => (answer as Row)[field],
      },
    },
    versionIn: (answer) => (answer as Row).version,
    took: (queries, { id }, answer) => void queries.setQueryData(['row', id], answer),
  })

  // A command puts back what the one it takes back changed, unless that has been changed since.
  keepWith(of.queries, async (command, id) => {
    if (of.mode === 'lost') throw new ApiProblem(0, '', [], null)
    const { of: row, before, after } = known.get(command)!
    if (Object.keys(after).some((field) => row[field] !== after[field]))
      throw new ApiProblem(409, 'changed since', [], null)
    Object.assign(row, before, { version: row.version + 1 })
    known.set(id, { of: row, before: after, after: before })
    return { version: row.version }
  })
  return of
}

let count = 0

/** A server of a kind of its own with records a and b on the page, for somebody who has entered nothing yet. */
export function freshServer() {
  localStorage.clear()
  Object.assign(connection, { lost: false, tries: 0 })
  const kind = `kind${++count}`
  const on = server(kind)
  entriesBelongTo(`person ${count}`)
  on.show('a')
  on.show('b')
  return {
    kind,
    on,
    place: (id: string) => ({ kind, id, within: 'job' }),
    entry: (id: string, field: string): Entry | undefined => shelf.value.get(`${kind}.${id}`, field),
  }
}

export const US = { units: 'us' as const }
export const fault = (field: string): FieldFault => ({ field, code: 'empty', typed: '' })
