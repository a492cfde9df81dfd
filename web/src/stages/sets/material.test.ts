import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { figure, finding, shown, worked, working } from '@/shared/testing/shown'
import ColdRoutes from './ColdRoutes.vue'
import DrumsWarming from './DrumsWarming.vue'
import InchMoney from './InchMoney.vue'
import YieldSteps from './YieldSteps.vue'

const answers = vi.hoisted(() => ({ next: undefined as unknown }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: new Proxy({}, { get: () => () => null }),
  ask: () => (answers.next instanceof Error ? Promise.reject(answers.next) : Promise.resolve(answers.next)),
}))

beforeEach(() => setActivePinia(createPinia()))

describe('cold-weather routes', () => {
  const route = (kind: string, rest: object) => ({
    kind,
    held: false,
    chosen: false,
    workings: {},
    foams: [{ sheet: 'Marl CC-20', sets: figure(1, '1.2 sets') }],
    figures: {
      sets: figure(1, '1.2 sets'),
      cost: figure(1, '4,000.00'),
      hours: figure(1, '6 h 00'),
      finish: figure(1, '9 h 00'),
    },
    findings: [],
    ...rest,
  })

  it('stand side by side, the priced one marked, what speaks against each said', async () => {
    const held = finding('coldRoute', 'airOutside', 'hold')
    answers.next = {
      substrate: figure(-6, '21 °F'),
      from: 'season',
      needed: true,
      priced: true,
      sheet: 'Marl CC-20',
      routes: [route('straight', { held: true, findings: [held] }), route('coldGrade', { chosen: true })],
    }
    const screen = await shown(ColdRoutes, { surface: 'cold-1' })
    const ways = screen.findAll('tbody tr').map((way) => way.findAll('td'))
    expect(ways[1]![0]!.text()).toContain('priced')
    expect(ways[0]![0]!.find('svg').attributes('aria-label')).toBe('Hold')
    expect(ways[0]!.at(-1)!.text()).not.toBe('nothing')
    expect(ways[1]!.at(-1)!.text()).toBe('nothing')
    expect(ways[0]![3]!.text()).toBe('–')
  })

  it('say what is missing where no temperature is known', async () => {
    answers.next = { substrate: null, from: 'assumed', needed: false, priced: false, sheet: '', routes: [] }
    expect((await shown(ColdRoutes, { surface: 'cold-2' })).find('table').exists()).toBe(false)
  })
})

describe('warming drums', () => {
  const way = (lead: object | null) => ({ lead, heat: worked('1 kWh'), cost: figure(0.2, '0.20') })

  it('tells both ways, and which of them the firm has not or never gets there', async () => {
    const lines = [
      { sheetId: 'a', sheet: 'Marl', warming: { blankets: way(figure(1, '8 h 30')), hotRoom: null } },
      { sheetId: 'b', sheet: 'Fleece', warming: { blankets: way(null), hotRoom: way(figure(1, '7 h 00')) } },
      { sheetId: 'c', sheet: 'Kit', warming: null },
    ]
    const screen = await shown(DrumsWarming, { lines, night: figure(-7, '19 °F') })
    const rows = screen
      .findAll('tbody tr')
      .map((row) => row.findAll('td:not([role=rowheader])').map((cell) => cell.text()))
    expect(rows).toEqual([
      ['from 8 h 30 before, 1 kWh, 0.20', 'none here'],
      ['never warm enough', 'from 7 h 00 before, 1 kWh, 0.20'],
    ])
    expect(screen.text()).toContain('start at 19 °F')
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
      figures: { sheetYield: worked('4,350 bd ft'), yield: worked('1,958 bd ft') },
    }
    const bars = (await shown(YieldSteps, { answer })).findAll('.bar').map((bar) => bar.attributes('style'))
    expect(bars[0]).toContain('100%')
    expect(bars[1]).toContain('90%')
    expect(bars[2]).toContain('45%')
    expect(bars[3]).toContain('45%')
  })
})
