import { beforeEach, describe, expect, it, vi } from 'vitest'
import { connection } from './connection'
import { inTurn, put, sendAll, sendWaiting } from './editor'
import { entriesBelongTo, shelf } from './entries'
import type { Sent } from './kinds'
import { freshServer, US, type Row } from '../testing/recordServer'

let { kind, on, place, entry } = freshServer()
beforeEach(() => {
  vi.useRealTimers()
  ;({ kind, on, place, entry } = freshServer())
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
    sendAll('us')
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
