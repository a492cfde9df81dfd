import { QueryClient } from '@tanstack/vue-query'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem, type FieldFault } from '../api/client'
import { connection } from './connection'
import { decide, discard, forget, inTurn, keepWith, put, sendAll, sendWaiting, type } from './editor'
import { entriesBelongTo, shelf, type Entry } from './entries'
import { keeps, type Sent } from './kinds'
import { stepsOf, together, type Step } from './steps'

interface Row {
  id: string
  version: number
  [field: string]: unknown
}

/** A server of one kind of record, that can be slow, fail, lose its answers, and know a repeat. */
function server(kind: string) {
  const rows = new Map<string, Row>()
  const known = new Set<string>()
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
      known.add(sent.id)
      log.push({ id, fields: sent.fields })
      Object.assign(row, sent.fields, { version: row.version + 1, undo: JSON.stringify(row) })
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
    undoIn: (answer) => (answer as { undo?: string }).undo,
    async takeBack({ id }, version, undo) {
      const row = of.row(id)
      if (version !== row.version) throw new ApiProblem(409, '', [], { ...row })
      const now = JSON.stringify(row)
      Object.assign(row, JSON.parse(undo) as Row, { version: row.version + 1, undo: now })
      return { ...row }
    },
  })
  keepWith(of.queries)
  return of
}

let kind = ''
let on: ReturnType<typeof server>
const place = (id: string) => ({ kind, id, within: 'job' })
const US = { units: 'us' as const }
const fault = (field: string): FieldFault => ({ field, code: 'empty', typed: '' })
const entry = (id: string, field: string): Entry | undefined => shelf.value.get(`${kind}.${id}`, field)

let count = 0
beforeEach(() => {
  vi.useRealTimers()
  localStorage.clear()
  Object.assign(connection, { lost: false, tries: 0 })
  kind = `kind${++count}`
  on = server(kind)
  entriesBelongTo(`person ${count}`)
  on.show('a')
  on.show('b')
})

describe('an edit', () => {
  it('is kept with the version that was on the screen, and nothing is left of it', async () => {
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('taken')
    expect(on.row('a').name).toBe('wall')
    expect(shelf.value.records).toEqual({})
  })

  it('belongs to the record it was made on, wherever the page has gone meanwhile', async () => {
    on.mode = 'held'
    const late = put(place('a'), { name: 'of a' }, US)
    await vi.waitFor(() => expect(entry('a', 'name')?.sent).toBeDefined())
    const own = put(place('b'), { name: 'of b' }, US)
    on.let()
    await Promise.all([late, own])
    expect([on.row('a').name, on.row('b').name]).toEqual(['of a', 'of b'])
  })

  it('is not sent while it is only typed, and is sent as it was typed last', async () => {
    type(place('a'), 'name', 'w', 'us')
    type(place('a'), 'name', 'wall', 'us')
    await Promise.resolve()
    expect(on.log).toEqual([])
    await put(place('a'), { name: 'wall' }, US)
    expect(on.log.map((one) => one.fields)).toEqual([{ name: 'wall' }])
  })

  it('typed on while it was sent is not taken for kept', async () => {
    on.mode = 'held'
    const first = put(place('a'), { name: 'wal' }, US)
    await vi.waitFor(() => expect(entry('a', 'name')?.sent).toBeDefined())
    type(place('a'), 'name', 'wall', 'us')
    on.let()
    expect(await first).toBe('taken')
    expect(entry('a', 'name')).toMatchObject({ text: 'wall', state: 'typed', version: 2 })
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('taken')
    expect(on.row('a').name).toBe('wall')
  })
})

describe('a hundred quick edits', () => {
  it('of one field end with the last of them, in far fewer requests', async () => {
    const all = Array.from({ length: 100 }, (_, i) => put(place('a'), { name: `n${i}` }, US))
    expect(new Set(await Promise.all(all))).toEqual(new Set(['taken']))
    expect(on.row('a').name).toBe('n99')
    expect(on.log.length).toBeLessThan(5)
  })

  it('of ten fields in ten records are all kept', async () => {
    const names = Array.from({ length: 10 }, (_, i) => `r${i}`)
    names.forEach(on.show)
    await Promise.all(
      names.flatMap((id) => Array.from({ length: 10 }, (_, i) => put(place(id), { [`f${i}`]: `${id}-${i}` }, US))),
    )
    for (const id of names) for (let i = 0; i < 10; i++) expect(on.row(id)[`f${i}`]).toBe(`${id}-${i}`)
    expect(shelf.value.records).toEqual({})
  })

  it('through a slow server that is asked again and again keep their order', async () => {
    const done: string[] = []
    for (let i = 0; i < 20; i++) {
      on.mode = 'held'
      void put(place('a'), { name: `n${i}` }, US).then(() => done.push(`n${i}`))
      await Promise.resolve()
      if (i % 3 === 0) on.let()
    }
    on.let()
    await vi.waitFor(() => {
      on.let()
      expect(done.length).toBe(20)
    })
    expect(on.row('a').name).toBe('n19')
  })
})

describe('without an answer', () => {
  it('an edit waits, says so, and goes by itself when the server is back', async () => {
    vi.useFakeTimers()
    on.mode = 'lost'
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('waits')
    expect(connection.lost).toBe(true)
    expect(entry('a', 'name')).toMatchObject({ text: 'wall', state: 'waits' })
    await vi.advanceTimersByTimeAsync(40_000)
    expect(on.log).toEqual([])
    on.mode = 'well'
    await vi.advanceTimersByTimeAsync(16_000)
    expect(on.row('a').name).toBe('wall')
    expect(connection.lost).toBe(false)
    expect(shelf.value.records).toEqual({})
  })

  it('edits made meanwhile go along, each with the version it was made against', async () => {
    on.mode = 'lost'
    await put(place('a'), { name: 'one' }, US)
    await put(place('a'), { size: 'two' }, US)
    await put(place('b'), { name: 'three' }, US)
    on.mode = 'well'
    sendWaiting()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
    expect([on.row('a').name, on.row('a').size, on.row('b').name]).toEqual(['one', 'two', 'three'])
  })

  it('a server that took the edit and lost the answer is asked again and does nothing twice', async () => {
    on.mode = 'answerLost'
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('waits')
    on.byAnother('a', { name: 'theirs since' })
    on.mode = 'well'
    sendWaiting()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
    expect(on.log.length).toBe(1)
    expect(on.row('a').name).toBe('theirs since')
  })

  it('what was typed on after an answer was lost is sent after what was lost', async () => {
    on.mode = 'answerLost'
    await put(place('a'), { name: 'first' }, US)
    void put(place('a'), { name: 'second' }, US)
    on.mode = 'well'
    sendWaiting()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
    expect(on.log.map((one) => one.fields.name)).toEqual(['first', 'second'])
  })

  it.each([500, 503, 429])('a server that fails for a while (%i) is tried again', async (status) => {
    vi.useFakeTimers()
    on.mode = status
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('waits')
    on.mode = 'well'
    await vi.advanceTimersByTimeAsync(2_000)
    expect(on.row('a').name).toBe('wall')
  })

  it('a server that fails on one edit for good does not stop the others', async () => {
    vi.useFakeTimers()
    on.mode = 500
    await put(place('a'), { name: 'wall' }, US)
    await vi.advanceTimersByTimeAsync(30_000)
    expect(entry('a', 'name')).toMatchObject({ state: 'refused', refusal: { status: 500 } })
    on.mode = 'well'
    expect(await put(place('b'), { name: 'other' }, US)).toBe('taken')
    sendAll()
    await vi.advanceTimersByTimeAsync(100)
    expect(on.row('a').name).toBe('wall')
  })

  it('what can only be done at once is not done at all', async () => {
    on.mode = 'lost'
    await put(place('a'), { name: 'wall' }, US)
    const act = vi.fn()
    await expect(inTurn(place('a'), 1, act)).rejects.toMatchObject({ status: 0 })
    expect(act).not.toHaveBeenCalled()
  })
})

describe('a sign-in that ran out, a sign-out, another person', () => {
  it('leave what waits with the person who entered it, to go when they are back', async () => {
    const me = shelf.value.owner
    on.mode = 401
    expect(await put(place('a'), { name: 'mine' }, US)).toBe('waits')
    entriesBelongTo('')
    on.mode = 'well'
    sendWaiting()
    entriesBelongTo('somebody else')
    sendWaiting()
    await Promise.resolve()
    expect(on.log).toEqual([])
    entriesBelongTo(me)
    sendWaiting()
    await vi.waitFor(() => expect(on.row('a').name).toBe('mine'))
  })

  it('on the way of an edit do not hand it to the next person', async () => {
    on.mode = 'held'
    const sent = put(place('a'), { name: 'mine' }, US)
    await vi.waitFor(() => expect(entry('a', 'name')?.sent).toBeDefined())
    const me = shelf.value.owner
    entriesBelongTo('the next')
    on.let()
    expect(await sent).toBe('taken')
    expect(shelf.value.records).toEqual({})
    entriesBelongTo(me)
    expect(shelf.value.records).toEqual({})
  })
})

describe('a page opened again', () => {
  /** What the browser's storage keeps is all that is left: as after a reload, or a tab that was closed. */
  async function reopened() {
    const { owner } = shelf.value
    vi.resetModules()
    const [entries, editor, kinds] = [await import('./entries'), await import('./editor'), await import('./kinds')]
    kinds.keeps(kind, (await import('./kinds')).kindOf(kind) ?? kindAgain())
    editor.keepWith(on.queries)
    entries.entriesBelongTo(owner)
    return { entries, editor }
  }
  const kindAgain = () => {
    const sent = on
    return {
      routes: {
        '': {
          send: async ({ id }: { id: string }, body: Sent) => {
            const row = sent.row(id)
            if (body.version !== row.version) {
              const { ApiProblem: Problem } = await import('../api/client')
              throw new Problem(409, '', [], { ...row })
            }
            sent.log.push({ id, fields: body.fields })
            return Object.assign(row, body.fields, { version: row.version + 1 })
          },
          partOf: (answer: unknown, field: string) => (answer as Row)[field],
        },
      },
      versionIn: (answer: unknown) => (answer as Row).version,
      took: () => undefined,
    }
  }

  it('finds what waited and sends it, though the page it was entered on is not open', async () => {
    on.mode = 'lost'
    await put(place('a'), { name: 'wall' }, US)
    const { entries, editor } = await reopened()
    expect(entries.shelf.value.get(`${kind}.a`, 'name')?.text).toBe('wall')
    editor.sendWaiting()
    await vi.waitFor(() => expect(on.row('a').name).toBe('wall'))
    await vi.waitFor(() => expect(entries.shelf.value.records).toEqual({}))
  })

  it('offers again what two people met at', async () => {
    on.byAnother('a', { name: 'theirs' })
    expect(await put(place('a'), { name: 'mine' }, US)).toBe('met')
    const { entries, editor } = await reopened()
    expect(entries.shelf.value.get(`${kind}.a`, 'name')).toMatchObject({ state: 'met', theirs: '"theirs"' })
    editor.sendWaiting()
    await Promise.resolve()
    expect(on.row('a').name).toBe('theirs')
    editor.decide(place('a'), 'name', 'mine')
    await vi.waitFor(() => expect(on.row('a').name).toBe('mine'))
  })
})

describe('where someone else changed the record', () => {
  it('a field they left alone goes on top without a question', async () => {
    on.byAnother('a', { size: 'theirs' })
    expect(await put(place('a'), { name: 'mine' }, US)).toBe('taken')
    expect(on.row('a')).toMatchObject({ name: 'mine', size: 'theirs' })
  })

  it('a field they changed too waits for the person, and the others go on', async () => {
    on.byAnother('a', { name: 'theirs' })
    const both = put(place('a'), { name: 'mine', size: 'mine too' }, US)
    expect(await both).toBe('met')
    expect(on.row('a')).toMatchObject({ name: 'theirs', size: 'mine too' })
    expect(entry('a', 'name')).toMatchObject({ text: 'mine', theirs: '"theirs"' })
  })

  it('mine goes on top once it is decided, theirs lets mine go', async () => {
    on.byAnother('a', { name: 'theirs' })
    await put(place('a'), { name: 'mine' }, US)
    decide(place('a'), 'name', 'mine')
    await vi.waitFor(() => expect(on.row('a').name).toBe('mine'))
    on.byAnother('b', { name: 'theirs' })
    await put(place('b'), { name: 'mine' }, US)
    decide(place('b'), 'name', 'theirs')
    expect(shelf.value.records).toEqual({})
    expect(on.row('b').name).toBe('theirs')
  })

  it('typing on changes only what is offered, and mine again meets them if they change it once more', async () => {
    on.byAnother('a', { name: 'theirs' })
    await put(place('a'), { name: 'mine' }, US)
    expect(await put(place('a'), { name: 'mine 2' }, US)).toBe('met')
    expect(on.row('a').name).toBe('theirs')
    on.byAnother('a', { name: 'theirs again' })
    decide(place('a'), 'name', 'mine')
    await vi.waitFor(() => expect(entry('a', 'name')).toMatchObject({ state: 'met', theirs: '"theirs again"' }))
    expect(entry('a', 'name')?.text).toBe('mine 2')
  })

  it('to the very text that was typed here there is nothing to ask', async () => {
    on.byAnother('a', { name: 'same' })
    expect(await put(place('a'), { name: 'same' }, US)).toBe('taken')
    expect(shelf.value.records).toEqual({})
  })

  it('a field whose text was never on the screen is asked about rather than laid over theirs', async () => {
    on.queries.removeQueries({ queryKey: ['row', 'a'] })
    expect(await put(place('a'), { name: 'mine' }, US)).toBe('met')
    expect(on.row('a').name).toBe('a name')
  })
})

describe('what is refused', () => {
  it('waits at its field with why; the rest of the request is kept without it', async () => {
    on.faults.size = fault('size')
    expect(await put(place('a'), { name: 'wall', size: 'twelve' }, US)).toBe('refused')
    expect(on.row('a').name).toBe('wall')
    expect(entry('a', 'size')).toMatchObject({ text: 'twelve', state: 'refused', fault: { code: 'empty' } })
    expect(entry('a', 'name')).toBeUndefined()
  })

  it('together is refused together, and nothing of it is kept', async () => {
    on.faults.size = fault('size')
    const form = put(place('a'), { name: 'wall', size: 'twelve' }, { ...US, together: true })
    expect(await form).toBe('refused')
    expect(on.row('a').name).toBe('a name')
    expect(entry('a', 'name')).toMatchObject({ text: 'wall', state: 'typed' })
  })

  it('is not tried again by itself, but goes once it is put right', async () => {
    on.faults.size = fault('size')
    await put(place('a'), { size: 'twelve' }, US)
    delete on.faults.size
    sendWaiting()
    await Promise.resolve()
    expect(on.row('a').size).toBe('a size')
    expect(await put(place('a'), { size: '12' }, US)).toBe('taken')
    expect(shelf.value.records).toEqual({})
  })

  it('for the record as a whole is told with its status', async () => {
    on.mode = 403
    expect(await put(place('a'), { name: 'wall' }, US)).toBe('refused')
    expect(entry('a', 'name')?.refusal?.status).toBe(403)
  })
})

describe('send now and discard', () => {
  it('send what is typed too, and let all of it go', async () => {
    type(place('a'), 'name', 'typed', 'us')
    sendAll()
    await vi.waitFor(() => expect(on.row('a').name).toBe('typed'))
    type(place('b'), 'name', 'gone', 'us')
    discard()
    expect(shelf.value.records).toEqual({})
    await stepsOf('job').undo()
    expect(entry('b', 'name')?.text).toBe('gone')
    forget(place('b'), 'name')
  })
})

describe('undo over kept edits', () => {
  it('takes them back in reverse, takes them again, and meets no one else', async () => {
    const steps = stepsOf('undo')
    const at = (id: string) => ({ ...place(id), within: 'undo' })
    await put(at('a'), { name: 'one' }, US)
    await put(at('b'), { name: 'two' }, US)
    await put(at('a'), { name: 'three' }, US)
    const names = () => [on.row('a').name, on.row('b').name]
    await steps.undo()
    expect(names()).toEqual(['one', 'two'])
    await steps.undo()
    await steps.undo()
    expect(names()).toEqual(['a name', 'b name'])
    await steps.redo()
    await steps.redo()
    await steps.redo()
    expect(names()).toEqual(['three', 'two'])
  })

  it('of several edits put together is one step', async () => {
    const collected: Step[] = []
    await put(place('a'), { name: 'one' }, { ...US, steps: collected })
    await put(place('b'), { name: 'two' }, { ...US, steps: collected })
    await together(collected).undo()
    expect([on.row('a').name, on.row('b').name]).toEqual(['a name', 'b name'])
  })

  it('does not take back what someone else changed since', async () => {
    const collected: Step[] = []
    await put(place('a'), { name: 'one' }, { ...US, steps: collected })
    on.byAnother('a', { name: 'theirs' })
    await expect(collected[0]!.undo()).rejects.toMatchObject({ status: 409 })
    expect(on.row('a').name).toBe('theirs')
  })
})

describe('two tabs', () => {
  it('do not both send what waits', async () => {
    on.mode = 'lost'
    await put(place('a'), { name: 'wall' }, US)
    const key = `entry:${shelf.value.owner}:${kind}.a:name`
    // The other tab sent it and told the browser; its answer came before this one's turn.
    on.row('a').name = 'wall'
    on.row('a').version = 2
    localStorage.removeItem(key)
    on.mode = 'well'
    sendWaiting()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
    expect(on.log).toEqual([])
  })
})
