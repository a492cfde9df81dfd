import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { figure, shown } from '@/shared/testing/shown'
import MeansView from './MeansView.vue'

const server = vi.hoisted(() => ({ book: {} as unknown, send: vi.fn() }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: {
    GET: (path: string) => ({ path }),
    POST: (path: string, rest: object) => ({ path, ...rest }),
  },
  ask: (asked: { path: string; body?: unknown }) =>
    asked.body ? server.send(asked.body) : Promise.resolve(server.book),
}))

const entry = (name: string, rest: object = {}) => ({
  name,
  type: 'quantity',
  choices: [],
  needed: false,
  rate: null,
  ...rest,
})
const kinds = [
  { kind: 'crew', entries: [entry('people'), entry('dayStart', { type: 'time' }), entry('note', { type: 'text' })] },
  {
    kind: 'spaceHeater',
    entries: [
      entry('power', { needed: true }),
      entry('heaterKind', { type: 'choice', choices: ['electric', 'indirect'] }),
      entry('note', { type: 'text' }),
    ],
  },
]
const one = (id: string, rest: object) => ({
  id,
  kind: 'crew',
  name: id,
  crew: null,
  retired: false,
  figures: {},
  words: {},
  jobs: 0,
  version: 1,
  ...rest,
})
const shownWith = async (all: object[]) => {
  server.book = { kinds, all }
  return shown(MeansView)
}
const buttons = (at: { findAll: (by: string) => { text: () => string }[] }) =>
  at.findAll('button').map((button) => button.text().replace(/(Heron|Tern)$/, ''))

beforeEach(() => {
  setActivePinia(createPinia())
  sessionStorage.clear()
  localStorage.clear()
  server.send.mockReset()
  useSession().person = { rights: ['look', 'record', 'edit', 'price'] } as never
})

describe('what a firm works with', () => {
  it('is told by what is known of it, and by nothing else', async () => {
    const screen = await shownWith([
      one('Heron', { figures: { people: figure(3, '3') }, words: { dayStart: '07:00' }, jobs: 2 }),
      one('Heater', { kind: 'spaceHeater', words: { heaterKind: 'indirect' } }),
    ])
    const [heron, heater] = screen.findAll('article')
    expect(heron!.findAll('dt').map((term) => term.text())).toEqual(['People', 'Work begins'])
    expect(heron!.text()).toContain('2 jobs')
    expect(heater!.text()).toContain('led outdoors: indirect-fired')
  })

  it('stays where jobs name it, and what is out of use comes back', async () => {
    const screen = await shownWith([one('Heron', { jobs: 1 }), one('Tern', { retired: true })])
    const [heron, tern] = screen.findAll('article')
    expect(buttons(heron!)).toEqual(['Edit', 'Stop using'])
    expect(buttons(tern!)).toEqual(['Edit', 'Use again', 'Delete'])
  })

  it('is only looked at by who may not edit', async () => {
    useSession().person = { rights: ['look'] } as never
    const screen = await shownWith([one('Heron', {})])
    expect(buttons(screen)).not.toContain('Add a crew')
    expect(screen.get('article').findAll('button')).toEqual([])
  })

  it('is sent with what cannot be left out, and a refusal is told at its field with all that was typed', async () => {
    const screen = await shownWith([])
    const add = screen.findAll('button').find((button) => button.text() === 'Add a heater')!
    await add.trigger('click')
    const [name, power] = screen.findAll('.means-form input[type="text"]')
    await name!.setValue('Large heater')
    const fault = { field: 'power', code: 'empty', typed: '' }
    server.send.mockRejectedValueOnce(new ApiProblem(400, '', [fault] as never, null))
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(server.send.mock.calls[0]![0].fields).toEqual({ kind: 'spaceHeater', name: 'Large heater', power: '' })
    expect(power!.attributes('aria-invalid')).toBe('true')
    expect((name!.element as HTMLInputElement).value).toBe('Large heater')

    await power!.setValue('30 kW')
    server.send.mockResolvedValueOnce({ kinds, all: [one('Large heater', { kind: 'spaceHeater' })] })
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(screen.find('form').exists()).toBe(false)
    expect(screen.get('article').text()).toContain('Large heater')
  })
})
