import { beforeEach, describe, expect, it, vi } from 'vitest'
import { discard, forget, put, sendAll, type } from './editor'
import { shelf } from './entries'
import { stepsOf } from './steps'
import { freshServer, US } from '../testing/recordServer'

let { kind, on, place, entry } = freshServer()
beforeEach(() => {
  vi.useRealTimers()
  ;({ kind, on, place, entry } = freshServer())
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

describe('send now and discard', () => {
  it('read what an earlier version kept without units as the person reads now, and the rest as it was typed', async () => {
    const record = `${kind}.a`
    shelf.value.put(record, 'name', { text: '7.2', at: 1, state: 'typed' })
    shelf.value.put(record, 'size', { text: '8', at: 1, state: 'typed', units: 'us', version: 1, was: '"a size"' })
    sendAll('metric')
    expect(entry('a', 'name')?.units).toBe('metric')
    expect(entry('a', 'size')?.units).toBe('us')
    await vi.waitFor(() => expect(on.row('a').size).toBe('8'))
  })

  it('send what is typed too, and let all of it go', async () => {
    type(place('a'), 'name', 'typed', 'us')
    sendAll('us')
    await vi.waitFor(() => expect(on.row('a').name).toBe('typed'))
    type(place('b'), 'name', 'gone', 'us')
    discard()
    expect(shelf.value.records).toEqual({})
    await stepsOf('job').undo()
    expect(entry('b', 'name')?.text).toBe('gone')
    forget(place('b'), 'name')
  })
})
