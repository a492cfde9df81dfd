import { createPinia, setActivePinia } from 'pinia'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import { i18n } from '@/i18n'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import AlternativePrices from './AlternativePrices.vue'
import BidLines from './BidLines.vue'
import ColdRoutes from './ColdRoutes.vue'
import DrumsWarming from './DrumsWarming.vue'
import InchMoney from './InchMoney.vue'
import KeptBid from './KeptBid.vue'
import PricedSurfaces from './PricedSurfaces.vue'
import RigOrKit from './RigOrKit.vue'
import YieldSteps from './YieldSteps.vue'

const answers = vi.hoisted(() => ({ next: undefined as unknown }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: new Proxy({}, { get: () => () => null }),
  ask: () => (answers.next instanceof Error ? Promise.reject(answers.next) : Promise.resolve(answers.next)),
}))

const figure = (si: number, us = String(si), metric = us) => ({ si, us, metric })
const working = { name: 'bidLine', formula: 'c = n · p', terms: [], result: figure(1), source: 'test' }
const worked = (si: number, text: string) => ({ figure: figure(si, text), working })
const stubs = { RouterLink: { template: '<a><slot /></a>' } }

async function shown(component: Component, props: Record<string, unknown>) {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const screen = mount(component, {
    props,
    attachTo: document.body,
    global: { plugins: [i18n, [VueQueryPlugin, { queryClient: queries }]], stubs },
  })
  await flushPromises()
  return screen
}

beforeEach(() => setActivePinia(createPinia()))

describe('lines of a bid', () => {
  const bid = {
    lines: [
      { key: 'foam:marl', name: 'Marl CC-20', quantity: figure(2, '2.0 sets'), amount: worked(5360, '5,360.00') },
      { key: 'bought:batt-19', name: 'batt-19', quantity: figure(9, '97 ft²', '9 m²'), amount: worked(85, '85.00') },
      { key: 'profit', name: '', quantity: figure(20, '20 %'), amount: worked(1500, '1,500.00') },
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
    const rows = screen.findAll('tbody tr').map((row) => row.find('th').text())
    expect(rows[0]).toBe('Marl CC-20')
    expect(rows[1]).not.toBe('batt-19')
    expect(rows[2]).toBe('Profit')
    expect(screen.get('tfoot').text()).toContain('6,945.00')
  })

  it('say whose money it is only where the firm told its sign', async () => {
    const screen = await shown(BidLines, { bid })
    expect(screen.text()).not.toContain('Money in')
    useSession().person = { currency: '€' } as never
    await flushPromises()
    expect(screen.text()).toContain('Money in €.')
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

describe('other systems on a surface', () => {
  const one = (id: string, rest: object) => ({
    id,
    kind: 'openCell',
    layers: [{ key: 'open', name: 'Fleece OC-5', foam: 'openStandard', thickness: figure(0.14, '5 1/2 in') }],
    boards: [],
    now: false,
    meetsTarget: true,
    verdict: 'clear',
    reason: null,
    difference: worked(120, '120.00'),
    dearer: true,
    alike: false,
    hours: figure(3600, '1 h 00'),
    missing: [],
    ...rest,
  })

  it('are dearer, cheaper or alike', async () => {
    answers.next = {
      surface: 'Walls',
      alternatives: [
        one('a', { dearer: false }),
        one('b', {}),
        one('c', { alike: true, dearer: false }),
        one('d', { now: true, meetsTarget: false }),
      ],
    }
    const screen = await shown(AlternativePrices, { job: 'j', surface: 's' })
    const cells = screen.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
    expect(cells[0]![0]).toBe('120.00 less')
    expect(cells[1]![0]).toBe('120.00 more')
    expect(cells[2]![0]).toContain('alike: 120.00 less')
    expect(cells[3]!.at(-1)).toBe('short')
    expect(screen.findAll('tbody tr')[3]!.classes()).toContain('now')
    expect(document.activeElement?.textContent).toContain('Walls')
  })

  it('give the reason in place of a price where one is held, cannot be sprayed or has no price', async () => {
    const reason = {
      rule: 'E1',
      case: 'notRoofing',
      verdict: 'hold',
      basis: 'practice',
      source: '',
      figures: {},
      words: {},
      remedies: [],
    }
    answers.next = {
      surface: 'Roof',
      alternatives: [
        one('a', { difference: null, verdict: 'hold', reason }),
        one('b', { difference: null, missing: ['batt-19'] }),
        one('c', { difference: null, hours: null }),
      ],
    }
    const rows = (await shown(AlternativePrices, { job: 'j', surface: 's' })).findAll('tbody tr')
    expect(rows[0]!.find('td').text().length).toBeGreaterThan(5)
    expect(rows[1]!.find('td').text()).toMatch(/^no price for /)
    expect(rows[2]!.text()).toContain('cannot be sprayed')
  })

  it('tell an empty surface and a lost line apart', async () => {
    answers.next = { surface: 'Walls', alternatives: [] }
    expect((await shown(AlternativePrices, { job: 'j', surface: 's' })).text()).toContain('not priced yet')
    answers.next = new Error('lost')
    const lost = await shown(AlternativePrices, { job: 'j', surface: 't' })
    expect(lost.find('table').exists()).toBe(false)
    expect(lost.find('button').exists()).toBe(true)
  })
})

describe('rig or hand kit', () => {
  const kit = (rest: object) => ({
    kit: 'Marl HK-2',
    kits: 2,
    figures: {
      rigSets: figure(0.1, '0.1 sets'),
      rigHours: figure(1, '2 h 00'),
      kitHours: figure(1, '1 h 30'),
      rigCost: figure(900, '900.00'),
      kitCost: figure(600, '600.00'),
    },
    upTo: null,
    findings: [
      {
        rule: 'kit',
        case: 'noRates',
        verdict: 'care',
        basis: 'practice',
        source: '',
        figures: {},
        words: {},
        remedies: [],
      },
    ],
    ...rest,
  })

  it('is held side by side, with the size up to which kits cost no more', async () => {
    const figures = {
      ...kit({}).figures,
      upTo: figure(0.9, '390 bd ft'),
      upToArea: figure(18, '195 ft²'),
      upToKits: figure(2, '2'),
    }
    answers.next = [kit({ figures, upTo: working })]
    const screen = await shown(RigOrKit, { surface: 's' })
    expect(screen.text()).toContain('up to 390 bd ft, 195 ft² at this depth: 2 kits')
    expect(screen.findAll('tbody tr')[2]!.text()).toContain('900.00')
  })

  it('says where kits are never cheaper, and is silent where none compares', async () => {
    answers.next = [kit({ kits: 1 })]
    const screen = await shown(RigOrKit, { surface: 's' })
    expect(screen.text()).toContain('never cheaper')
    expect(screen.text()).toContain('1 kit')
    expect(screen.text()).toContain('not priced')
    answers.next = []
    expect((await shown(RigOrKit, { surface: 't' })).find('section').exists()).toBe(false)
  })
})

describe('warming drums', () => {
  const way = (lead: object | null) => ({ lead, heat: worked(3.6e6, '1 kWh'), cost: figure(0.2, '0.20') })

  it('tells both ways, and which of them the firm has not or never gets there', async () => {
    const lines = [
      { sheetId: 'a', sheet: 'Marl', warming: { blankets: way(figure(1, '8 h 30')), hotRoom: null } },
      { sheetId: 'b', sheet: 'Fleece', warming: { blankets: way(null), hotRoom: way(figure(1, '7 h 00')) } },
      { sheetId: 'c', sheet: 'Kit', warming: null },
    ]
    const screen = await shown(DrumsWarming, { lines, night: figure(-7, '19 °F') })
    const rows = screen.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
    expect(rows).toEqual([
      ['from 8 h 30 before, 1 kWh, 0.20', 'not had'],
      ['never warm enough', 'from 7 h 00 before, 1 kWh, 0.20'],
    ])
    expect(screen.text()).toContain('From 19 °F')
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
    expect((await shown(KeptBid, { bid: kept({}), locked: false })).text()).toContain("Today's figures are the same.")
  })

  it('tells line by line what another day changes, with the sign of each', async () => {
    const bid = kept({ changes: [line({}), line({ key: 'travel', dearer: false, difference: figure(1, '130.00') })] })
    const rows = (await shown(KeptBid, { bid, locked: false })).findAll('tbody tr').map((row) => row.text())
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
    const screen = await shown(KeptBid, { bid: kept({ changes: [line({})], surfaces }), locked: false })
    const said = screen.findAll('.why li').map((one) => one.text())
    expect(new Set(said).size).toBe(5)
    expect(said[0]).toContain('heated')
    expect(said[1]).toContain('19 °F')
    expect(said[2]).toContain('1.1 sets')
  })

  it('is not taken away by one who may only read', async () => {
    expect((await shown(KeptBid, { bid: kept({}), locked: true })).find('button').exists()).toBe(false)
    const screen = await shown(KeptBid, { bid: kept({}), locked: false })
    await screen.get('button').trigger('click')
    expect(screen.emitted('off')).toHaveLength(1)
  })
})

describe('cold-weather routes', () => {
  const route = (kind: string, rest: object) => ({
    kind,
    held: false,
    chosen: false,
    foams: [{ sheet: 'Marl CC-20', sets: figure(1, '1.2 sets') }],
    figures: {
      sets: figure(1, '1.2 sets'),
      cost: figure(1, '4,000.00'),
      hours: figure(1, '6 h 00'),
      finish: figure(1, '9 h 00'),
    },
    costWorking: null,
    findings: [],
    ...rest,
  })

  it('stand side by side, the priced one marked, what speaks against each said', async () => {
    const held = {
      rule: 'coldRoute',
      case: 'airOutside',
      verdict: 'hold',
      basis: 'productSheet',
      source: '',
      measured: figure(-6, '21 °F'),
      limit: figure(2, '36 °F'),
      figures: {},
      words: {},
      remedies: [],
    }
    answers.next = {
      substrate: figure(-6, '21 °F'),
      from: 'season',
      needed: true,
      priced: true,
      sheet: 'Marl CC-20',
      routes: [route('straight', { held: true, findings: [held] }), route('coldGrade', { chosen: true })],
    }
    const screen = await shown(ColdRoutes, { surface: 'cold-1' })
    const heads = screen.findAll('thead th')
    expect(heads[1]!.text()).toContain('priced')
    expect(heads[0]!.find('svg').attributes('aria-label')).toBe('Hold')
    expect(screen.findAll('tbody tr').at(-1)!.findAll('td')[1]!.text()).toBe('nothing')
    expect(screen.findAll('tbody tr')[2]!.text()).toContain('–')
  })

  it('say what is missing where no temperature is known', async () => {
    answers.next = { substrate: null, from: 'assumed', needed: false, priced: false, sheet: '', routes: [] }
    expect((await shown(ColdRoutes, { surface: 'cold-2' })).find('table').exists()).toBe(false)
  })
})

describe('what an inch costs', () => {
  it('is drawn against the dearest step, and has no worth where nothing is cut', async () => {
    const step = (inches: string, further: number, perCut: object | null) => ({
      thickness: figure(further, inches),
      cut: figure(1, '50 %'),
      cost: figure(1, '3.00'),
      further: figure(further, further.toFixed(2)),
      perCut,
    })
    answers.next = [step('1 in', 3, figure(1, '0.06')), step('2 in', 1.5, null)]
    const screen = await shown(InchMoney, { surface: 'inch' })
    const rows = screen.findAll('tbody tr')
    expect(rows[0]!.get('.bar').attributes('style')).toContain('100%')
    expect(rows[1]!.get('.bar').attributes('style')).toContain('50%')
    expect(rows[1]!.text()).toContain('–')
  })
})

describe('from sheet yield to expected yield', () => {
  it('each bar is what all factors before it leave', async () => {
    const factor = (key: string, value: number) => ({ key, value, figure: figure(value, value.toFixed(3)), working })
    const answer = {
      factors: [factor('substrate', 0.9), factor('lift', 0.5)],
      figures: { sheetYield: worked(1, '4,350 bd ft'), yield: worked(1, '1,958 bd ft') },
    }
    const bars = (await shown(YieldSteps, { answer })).findAll('.bar').map((bar) => bar.attributes('style'))
    expect(bars[0]).toContain('100%')
    expect(bars[1]).toContain('90%')
    expect(bars[2]).toContain('45%')
    expect(bars[3]).toContain('45%')
  })
})
