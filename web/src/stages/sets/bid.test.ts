import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { figure, shown, worked } from '@/shared/testing/shown'
import { useReader } from '@/shared/state/reader'
import BidLines from './BidLines.vue'
import KeptBid from './KeptBid.vue'
import PricedSurfaces from './PricedSurfaces.vue'

beforeEach(() => setActivePinia(createPinia()))

describe('lines of a bid', () => {
  const bid = {
    lines: [
      { key: 'foam:marl', name: 'Marl CC-20', quantity: figure(2, '2.0 sets'), amount: worked('5,360.00') },
      { key: 'bought:batt-19', name: 'batt-19', quantity: figure(9, '97 ft²', '9 m²'), amount: worked('85.00') },
      { key: 'profit', name: '', quantity: figure(20, '20 %'), amount: worked('1,500.00') },
    ],
    figures: {
      price: figure(6945, '6,945.00'),
      perArea: figure(1),
      perBoardFoot: figure(1),
      crewHours: figure(1),
      days: figure(1),
    },
    missing: [],
    unentered: [],
    free: [],
  }

  it('name products, materials and rates, and end in the price', async () => {
    const screen = await shown(BidLines, { bid })
    const rows = screen.findAll('tbody tr').map((row) => row.find('[role=rowheader]').text())
    expect(rows[0]).toBe('Marl CC-20')
    expect(rows[1]).not.toBe('batt-19')
    expect(rows[2]).toBe('Profit')
    expect(screen.get('tfoot').text()).toContain('6,945.00')
  })

  it('follow the units of the reader', async () => {
    const screen = await shown(BidLines, { bid })
    useReader().units = 'metric'
    await flushPromises()
    expect(screen.text()).toContain('9 m²')
  })
})

describe('surfaces of a bid', () => {
  const surfaces = [
    {
      id: 'a',
      name: 'Walls',
      substrate: figure(3, '37 °F'),
      from: 'season',
      route: 'heat',
      allHeld: false,
      sets: figure(1, '1.0 set'),
    },
    {
      id: 'b',
      name: 'Roof',
      substrate: null,
      from: 'assumed',
      route: 'straight',
      allHeld: true,
      sets: figure(2, '2.0 sets'),
    },
  ]

  it('open what other systems would cost, and close it again', async () => {
    const screen = await shown(PricedSurfaces, { job: 'j', surfaces, open: null })
    await screen.findAll('button')[0]!.trigger('click')
    expect(screen.emitted('open')).toEqual([['a']])
    await screen.setProps({ open: 'a' })
    expect(screen.findAll('button')[0]!.attributes('aria-expanded')).toBe('true')
    await screen.findAll('button')[0]!.trigger('click')
    expect(screen.emitted('open')!.at(-1)).toEqual([null])
  })

  it('say where no way is open', async () => {
    const screen = await shown(PricedSurfaces, { job: 'j', surfaces, open: null })
    expect(screen.findAll('tbody tr')[1]!.find('.fault').text()).toBe('cannot be sprayed then')
  })
})

describe('a bid as it was made', () => {
  const kept = (rest: object) => ({
    id: 'k',
    madeAt: '2026-07-01T10:00:00Z',
    madeBy: 'estimator',
    workDate: '2026-07-15',
    price: figure(9000, '9,000.00'),
    difference: figure(750, '750.00'),
    dearer: true,
    changes: [],
    surfaces: [],
    ...rest,
  })
  const line = (rest: object) => ({
    key: 'crew',
    name: '',
    quantityBefore: figure(1, '20 h 00'),
    quantityAfter: figure(1, '24 h 00'),
    before: figure(1, '3,160.00'),
    after: figure(1, '3,792.00'),
    difference: figure(1, '632.00'),
    dearer: true,
    ...rest,
  })
  const surface = (rest: object) => ({
    name: 'Walls',
    substrateBefore: figure(20, '68 °F'),
    substrateAfter: figure(-7, '19 °F'),
    routeBefore: 'straight',
    routeAfter: 'heat',
    setsBefore: figure(1, '1.0 set'),
    setsAfter: figure(1, '1.1 sets'),
    ...rest,
  })

  it('says so where nothing has changed since', async () => {
    expect((await shown(KeptBid, { job: 'j', bid: kept({}), locked: false })).text()).toContain(
      "Today's figures are the same.",
    )
  })

  it('tells line by line what another day changes, with the sign of each', async () => {
    const bid = kept({ changes: [line({}), line({ key: 'travel', dearer: false, difference: figure(1, '130.00') })] })
    const rows = (await shown(KeptBid, { job: 'j', bid, locked: false })).findAll('tbody tr').map((row) => row.text())
    expect(rows[0]).toContain('20 h 00 → 24 h 00')
    expect(rows[0]).toContain('+632.00')
    expect(rows[1]).toContain('−130.00')
  })

  it('names the surfaces that are why: another way, another temperature, other sets, come or gone', async () => {
    const same = { substrateAfter: figure(20, '68 °F'), routeAfter: 'straight' }
    const surfaces = [
      surface({}),
      surface({ name: 'Roof', routeAfter: 'straight' }),
      surface({ name: 'Gable', ...same }),
      surface({ name: 'New', routeBefore: '' }),
      surface({ name: 'Old', routeAfter: '' }),
    ]
    const screen = await shown(KeptBid, { job: 'j', bid: kept({ changes: [line({})], surfaces }), locked: false })
    const said = screen.findAll('.why li').map((one) => one.text())
    expect(new Set(said).size).toBe(5)
    expect(said[0]).toContain('heated')
    expect(said[1]).toContain('19 °F')
    expect(said[2]).toContain('1.1 sets')
  })

  it('is not taken away by one who may only read', async () => {
    expect((await shown(KeptBid, { job: 'j', bid: kept({}), locked: true })).find('button').exists()).toBe(false)
    const screen = await shown(KeptBid, { job: 'j', bid: kept({}), locked: false })
    await screen.get('button').trigger('click')
    expect(screen.emitted('off')).toHaveLength(1)
  })
})
