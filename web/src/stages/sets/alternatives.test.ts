import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { figure, finding, shown, worked, working } from '@/shared/testing/shown'
import AlternativePrices from './AlternativePrices.vue'
import RigOrKit from './RigOrKit.vue'

const answers = vi.hoisted(() => ({ next: undefined as unknown }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: new Proxy({}, { get: () => () => null }),
  ask: () => (answers.next instanceof Error ? Promise.reject(answers.next) : Promise.resolve(answers.next)),
}))

beforeEach(() => setActivePinia(createPinia()))

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
    difference: worked('120.00'),
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
    const cells = screen
      .findAll('tbody tr')
      .map((row) => row.findAll('td:not([role=rowheader])').map((cell) => cell.text()))
    expect(cells[0]![0]).toBe('120.00 less')
    expect(cells[1]![0]).toBe('120.00 more')
    expect(cells[2]![0]).toContain('alike: 120.00 less')
    expect(cells[3]!.at(-1)).toBe('short')
    expect(screen.findAll('tbody tr')[3]!.classes()).toContain('chosen')
    expect(document.activeElement?.textContent).toContain('Walls')
  })

  it('give the reason in place of a price where one is held, cannot be sprayed or has no price', async () => {
    const reason = finding('E1', 'notRoofing', 'hold')
    answers.next = {
      surface: 'Roof',
      alternatives: [
        one('a', { difference: null, verdict: 'hold', reason }),
        one('b', { difference: null, missing: ['batt-19'] }),
        one('c', { difference: null, hours: null }),
      ],
    }
    const rows = (await shown(AlternativePrices, { job: 'j', surface: 's' })).findAll('tbody tr')
    expect(rows[0]!.find('td:not([role=rowheader])').text().length).toBeGreaterThan(5)
    expect(rows[1]!.find('td:not([role=rowheader])').text()).toMatch(/^no price for /)
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
    findings: [finding('kit', 'noRates', 'care')],
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
