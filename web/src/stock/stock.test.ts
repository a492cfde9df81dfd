import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { figure, finding, shown } from '@/shared/testing/shown'
import PickOne from '@/shared/ui/PickOne.vue'
import StockForm from './StockForm.vue'
import StockView from './StockView.vue'

const server = vi.hoisted(() => ({ stock: {} as unknown, send: vi.fn() }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: {
    GET: (path: string) => ({ path }),
    POST: (path: string, rest: object) => ({ path, ...rest }),
    PATCH: (path: string, rest: object) => ({ path, ...rest }),
  },
  ask: (asked: { path: string; body?: unknown }) =>
    asked.body ? server.send(asked) : Promise.resolve(asked.path === '/api/stock' ? server.stock : { sheets: [] }),
}))

const lot = (rest: object) => ({
  id: 'l1',
  sheetId: 'marl',
  sheet: 'Marl CC-20',
  side: 'a',
  lot: 'A-4417',
  expires: '2027-04-01',
  full: 3,
  part: figure(40, '88 lb'),
  version: 7,
  ...rest,
})
const stock = (lots: object[]) => ({
  lots,
  products: [
    {
      sheetId: 'marl',
      sheet: 'Marl CC-20',
      setsA: figure(3, '3.0 sets'),
      setsB: figure(2, '2.0 sets'),
      sets: figure(2, '2.0 sets'),
      findings: [finding('stock', 'moreA', 'care', { words: { sheet: { book: null, keys: ['Marl CC-20'] } } })],
    },
  ],
})

beforeEach(() => {
  setActivePinia(createPinia())
  sessionStorage.clear()
  server.send.mockReset()
  useSession().person = { rights: ['look', 'record', 'edit'] } as never
})

describe('drums in the store', () => {
  it('are counted by side, and the scarcer side is said', async () => {
    server.stock = stock([lot({}), lot({ id: 'l2', side: 'b', lot: 'B-7730', full: 2, expires: null })])
    const screen = await shown(StockView)
    expect(screen.get('.products').text()).toContain('A 3.0 sets, B 2.0 sets')
    expect(screen.get('.products .line').text()).toContain('more A than B')
    const rows = screen.findAll('tbody tr')
    expect(rows[0]!.text()).toContain('A-4417')
    expect(rows[1]!.text()).toContain('–')
  })

  it('change in place, with the version that was seen', async () => {
    server.stock = stock([lot({})])
    server.send.mockResolvedValue(stock([lot({ full: 5, version: 8 })]))
    const screen = await shown(StockView)
    const field = screen.findAll('tbody input')[0]!
    await field.setValue('5')
    await flushPromises()
    expect(server.send.mock.calls[0]![0].body).toMatchObject({ version: 7, fields: { full: '5' } })
    expect((screen.findAll('tbody input')[0]!.element as HTMLInputElement).value).toBe('5')
  })

  it('say what cannot be taken', async () => {
    server.stock = stock([lot({})])
    server.send.mockRejectedValue(new ApiProblem(400, '', [{ field: 'full', code: 'notANumber', typed: 'many' }], null))
    const screen = await shown(StockView)
    await screen.findAll('tbody input')[0]!.setValue('many')
    await flushPromises()
    expect(screen.get('[role=alert]').text()).toContain('“many” is not a number')
  })

  it('can only be read by a viewer', async () => {
    useSession().person = { rights: ['look'] } as never
    server.stock = stock([lot({})])
    const screen = await shown(StockView)
    expect(screen.find('form').exists()).toBe(false)
    expect(screen.findAll('tbody input').every((one) => one.attributes('disabled') !== undefined)).toBe(true)
    expect(screen.find('tbody button').exists()).toBe(false)
  })

  it('are asked for first where there are none', async () => {
    server.stock = { lots: [], products: [] }
    expect((await shown(StockView)).text()).toContain('No drums yet')
  })
})

describe('a lot put into the store', () => {
  it('is sent with its product and lot even where they are blank, and the form is ready for the next of it', async () => {
    server.send.mockResolvedValue(stock([]))
    const screen = await shown(StockForm)
    await screen.findAll('input.el-input__inner')[0]!.setValue('B-9')
    await screen.findAllComponents(PickOne)[1]!.setValue('b')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(server.send.mock.calls[0]![0].body.fields).toEqual({ side: 'b', lot: 'B-9', product: '' })
    expect(screen.emitted('done')).toHaveLength(1)
    expect((screen.findAll('input.el-input__inner')[0]!.element as HTMLInputElement).value).toBe('')
    expect(screen.findAllComponents(PickOne)[1]!.props('modelValue')).toBe('b')
  })

  it('stays typed when it is refused, with a sentence at the field or above', async () => {
    server.send.mockRejectedValueOnce(
      new ApiProblem(400, '', [{ field: 'expires', code: 'notADate', typed: 'soon' }], null),
    )
    const screen = await shown(StockForm)
    await screen.findAll('input.el-input__inner')[1]!.setValue('soon')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(screen.text()).toContain('“soon” is not a day')
    expect((screen.findAll('input.el-input__inner')[1]!.element as HTMLInputElement).value).toBe('soon')
    server.send.mockRejectedValueOnce(new ApiProblem(403, '', [], null))
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(screen.get('[role=alert]').text().length).toBeGreaterThan(10)
  })
})
