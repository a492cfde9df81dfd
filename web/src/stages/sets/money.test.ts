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
import DrumsWarming from './DrumsWarming.vue'
import PricedSurfaces from './PricedSurfaces.vue'
import RigOrKit from './RigOrKit.vue'

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
