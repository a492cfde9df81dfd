import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/client'
import { decide, inTurn, put, sendWaiting } from './editor'
import { shelf } from './entries'
import { stepsOf, together, type Step } from './steps'
import { freshServer, US, fault, type Row } from '../testing/recordServer'

let { on, place, entry } = freshServer()
beforeEach(() => {
  vi.useRealTimers()
  ;({ on, place, entry } = freshServer())
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

describe('what belongs together where someone else changed a part of it', () => {
  it('is held back as a whole, told as met and not as refused, and can be kept again', async () => {
    on.byAnother('a', { name: 'theirs' })
    const form = { name: 'mine', size: 'mine too' }
    expect(await put(place('a'), form, { ...US, together: true })).toBe('met')
    expect(on.row('a')).toMatchObject({ name: 'theirs', size: 'a size' })
    expect(entry('a', 'size')).toMatchObject({ text: 'mine too', state: 'typed' })
    decide(place('a'), 'name', 'theirs')
    expect(await put(place('a'), { size: 'mine too' }, { ...US, together: true })).toBe('taken')
    expect(on.row('a')).toMatchObject({ name: 'theirs', size: 'mine too' })
  })
})

describe('what is done to a record at once', () => {
  it('shows the record as someone else left it where that came between, so that it can be done again', async () => {
    const theirs = { ...on.row('a'), name: 'theirs', version: 11 }
    const act = vi
      .fn()
      .mockRejectedValueOnce(new ApiProblem(409, '', [], theirs))
      .mockResolvedValue('done')
    await expect(inTurn(place('a'), 1, act)).rejects.toMatchObject({ status: 409 })
    const shown = on.queries.getQueryData<Row>(['row', 'a'])!
    expect(shown.name).toBe('theirs')
    expect(await inTurn(place('a'), shown.version, act)).toBe('done')
    expect(act).toHaveBeenLastCalledWith(11)
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

  it('that got no answer is asked for again as it was', async () => {
    const steps = stepsOf('again')
    await put({ ...place('a'), within: 'again' }, { name: 'one' }, US)
    on.mode = 'lost'
    await expect(steps.undo()).rejects.toMatchObject({ status: 0 })
    on.mode = 'well'
    await steps.undo()
    expect(on.row('a').name).toBe('a name')
  })

  it('does not take back what someone else changed since', async () => {
    const collected: Step[] = []
    await put(place('a'), { name: 'one' }, { ...US, steps: collected })
    on.byAnother('a', { name: 'theirs' })
    await expect(collected[0]!.undo()).rejects.toMatchObject({ status: 409 })
    expect(on.row('a').name).toBe('theirs')
  })
})
