import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import { ApiProblem } from '../api/client'
import { connection } from '../keeping/connection'
import { put, type } from '../keeping/editor'
import { entriesBelongTo, shelf } from '../keeping/entries'
import { keeps, type Sent } from '../keeping/kinds'
import { choiceText } from '../keeping/records/surface'
import { behind, unsentCount } from '../keeping/unsent'
import { useTyped } from '../state/typed'
import { shown, within } from '../testing/shown'
import BehindNote from './BehindNote.vue'
import TypedField from './TypedField.vue'
import UnsentButton from './UnsentButton.vue'
import UnsentDialog from './UnsentDialog.vue'

const send = vi.fn<(sent: Sent) => Promise<unknown>>()
const row = { id: 'a', name: 'North wall', version: 1 }
keeps('wall', {
  routes: {
    '': {
      send: (_, sent) => send(sent),
      shown: () => row,
      partOf: (answer, field) => (answer as Record<string, unknown>)[field],
    },
  },
  versionIn: (answer) => (answer as { version: number }).version,
  took: () => undefined,
})

const place = { kind: 'wall', id: 'a', within: 'job' }
const lost = new ApiProblem(0, '', [], null)
const US = { units: 'us' as const }
const text = (screen: { text: () => string }) => screen.text().replace(/\s+/g, ' ')

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  document.body.innerHTML = ''
  Object.assign(connection, { lost: false, tries: 0 })
  entriesBelongTo(`person ${Math.random()}`)
  send.mockReset()
})

describe('what is not sent', () => {
  it('is not spoken of while there is nothing', async () => {
    expect((await shown(UnsentButton)).find('button').exists()).toBe(false)
    expect(text(await shown(BehindNote, { job: 'job' }))).toBe('')
  })

  it('is counted, and the pages of figures of its job say that they do not contain it', async () => {
    send.mockRejectedValue(lost)
    await put(place, { name: 'Deck', size: '3 m' }, US)
    expect(unsentCount.value).toBe(2)
    expect([behind('job'), behind('another')]).toEqual([2, 0])
    expect(text(await shown(UnsentButton))).toContain('No connection: 2 not sent')
    expect(text(await shown(BehindNote, { job: 'job' }))).toContain('2 entered and not sent yet')
  })

  it.each([
    ['away', 'Database away: 1 not sent', 'The database does not answer.'],
    ['full', 'Disk full: 1 not sent', 'once there is room'],
  ] as const)('says what it waits for (%s)', async (outage, counted, sentence) => {
    send.mockRejectedValue(new ApiProblem(503, 'no', [], null, { outage }))
    await put(place, { name: 'Deck' }, US)
    const button = await shown(UnsentButton)
    expect(text(button)).toContain(counted)
    await button.find('button').trigger('click')
    await vi.waitFor(() => expect(document.body.textContent).toContain(sentence))
  })

  it('counts a form that was begun as one, and not as what figures are behind of', () => {
    shelf.value.put('readings.wall', 'air', { text: '3 C', at: 1, state: 'typed', within: 'job' })
    shelf.value.put('readings.wall', 'humidity', { text: '60', at: 1, state: 'typed', within: 'job' })
    expect([unsentCount.value, behind('job')]).toEqual([1, 0])
  })

  it('is listed by record and field with why, and can be decided or let go', async () => {
    send.mockRejectedValueOnce(new ApiProblem(409, '', [], { ...row, name: 'Theirs', version: 5 }))
    await put(place, { name: 'Mine' }, US)
    await shown(UnsentDialog)
    await flushPromises()
    const list = document.querySelector('[role=dialog]')!
    expect(list.textContent).toContain('North wall')
    expect(list.textContent).toContain('someone else changed it to “Theirs”')
    send.mockResolvedValue({ ...row, name: 'Mine', version: 6 })
    ;[...list.querySelectorAll('button')].find((one) => one.textContent?.includes('Keep mine'))!.click()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
    expect(send.mock.calls[1]![0]).toMatchObject({ version: 5, fields: { name: 'Mine' } })
    await flushPromises()
    expect(list.textContent).toContain('Everything is sent.')
  })

  it('tells systems by their names, never by an id', async () => {
    const two = { text: choiceText('a', 'owner’s wish'), theirs: JSON.stringify(choiceText('b')) }
    shelf.value.put('surface.s', 'choice.system', { ...two, at: 1, state: 'met', within: 'job', called: 'Deck' })
    const candidates = [
      { id: 'a', kind: 'openCell' },
      { id: 'b', kind: 'closedCell' },
    ]
    await shown(UnsentDialog, {}, (queries) =>
      queries.setQueryData(['surface', 's', 'choose'], { answer: { candidates } }),
    )
    await flushPromises()
    const list = document.querySelector('[role=dialog]')!.textContent?.replace(/\s+/g, ' ')
    expect(list).toContain('Open cell: owner’s wish')
    expect(list).toContain('someone else changed it to “Closed cell”')
  })

  it('is sent now, typed or waiting', async () => {
    type(place, 'name', 'Deck', 'us')
    send.mockResolvedValue({ ...row, name: 'Deck', version: 2 })
    await shown(UnsentDialog)
    await flushPromises()
    ;[...document.querySelectorAll('button')].find((one) => one.textContent?.includes('Send now'))!.click()
    await vi.waitFor(() => expect(shelf.value.records).toEqual({}))
  })
})

describe('a field that is typed', () => {
  const options = [
    { value: 'wood', text: 'wood studs' },
    { value: 'girt', text: 'girts' },
  ]

  it('shows both texts in words where two people chose, and takes theirs', async () => {
    send.mockRejectedValueOnce(new ApiProblem(409, '', [], { ...row, member: 'girt', version: 5 }))
    const typed = await within(() => useTyped(place))
    const field = await shown(TypedField, { typed, field: 'member', label: 'Members', kept: 'none', options })
    await typed.put({ member: 'wood' })
    await flushPromises()
    expect(text(field)).toContain('you entered “wood studs”, it now says “girts”')
    await field.findAll('button').at(-1)!.trigger('click')
    expect(shelf.value.records).toEqual({})
  })

  it('keeps what was typed with the sentence of a refusal, and lets go of it with Escape', async () => {
    const fault = { field: 'size', code: 'notANumber', typed: 'twelve' }
    send.mockRejectedValue(new ApiProblem(400, 'no', [fault], null))
    const typed = await within(() => useTyped(place))
    const field = await shown(TypedField, { typed, field: 'size', label: 'Size', kept: '3 m' })
    await field.get('input').setValue('twelve')
    await field.get('input').trigger('blur')
    await vi.waitFor(() => expect(text(field)).toContain('“twelve” is not a number'))
    expect((field.get('input').element as HTMLInputElement).value).toBe('twelve')
    await field.get('input').trigger('keydown', { key: 'Escape' })
    expect((field.get('input').element as HTMLInputElement).value).toBe('3 m')
    expect(text(field)).not.toContain('not a number')
  })

  it('sends nothing where it reads as before', async () => {
    const typed = await within(() => useTyped(place))
    const field = await shown(TypedField, { typed, field: 'size', label: 'Size', kept: '3 m' })
    await field.get('input').setValue(' 3 m ')
    await field.get('input').trigger('blur')
    await flushPromises()
    expect(send).not.toHaveBeenCalled()
    expect(shelf.value.records).toEqual({})
  })
})
