import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { figure, within, worked } from '@/shared/testing/shown'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useBidPaper } from './bidPaper'
import { useOrderPaper } from './orderPaper'

beforeEach(() => setActivePinia(createPinia()))

const words = (page: Schemas['TablePage']) =>
  [
    page.title,
    ...page.lead,
    ...page.columns.map((c) => c.heading),
    ...page.lines.flatMap((l) => l.cells),
    ...page.notes,
  ].join(' | ')

const surface = (name: string, area: string) => ({
  id: name,
  name,
  substrate: null,
  from: 'assumed',
  route: 'straight',
  allHeld: false,
  sets: figure(1.2, '1.2 sets'),
  treated: figure(1, area),
  layers: [
    { key: 'closed', name: 'Marl CC-20', foam: 'closedStandard', thickness: figure(0.05, '2 in', '51 mm') },
    { key: 'open', name: 'Fleece OC-5', foam: 'openStandard', thickness: figure(0.09, '3 1/2 in', '89 mm') },
  ],
  r: figure(4, 'R-25.4', '4.47 m²·K/W'),
})
const line = (key: string, quantity: string, amount: string) => ({
  key,
  name: '',
  quantity: figure(1, quantity),
  amount: worked(amount),
})
const price = (missing: string[] = []) =>
  ({
    workDate: '2027-01-15',
    surfaces: [surface('South wall', '192 ft²'), surface('Roof', '600 ft²')],
    bid: {
      lines: [
        line('crew', '9 h 00', '400.00'),
        line('overhead', '12 %', '111.11'),
        line('profit', '20 %', '222.22'),
        line('tax', '8 %', '99.99'),
      ],
      figures: {
        price: figure(1, '1,349.99'),
        net: figure(1, '1,250.00'),
        treated: figure(1, '792 ft²'),
        foam: figure(1, '1,200 board feet'),
        perArea: figure(1, '17.17'),
        perBoardFoot: figure(1, '3.33'),
      },
      missing,
      unentered: [],
      free: [],
    },
  }) as unknown as Schemas['JobPriceAnswer']

describe('papers of a bid', () => {
  it('tell the customer what is done and what it costs, and nothing of how the price comes about', async () => {
    const { outer } = await within(() => useBidPaper(ref(price()), () => ({ id: 'job', name: 'Ferry house' })))
    const paper = words(outer.value)
    for (const told of [
      'Ferry house',
      'South wall',
      '192 ft²',
      'Roof',
      'Marl CC-20 2 in',
      'Fleece OC-5 3 1/2 in',
      'R-25.4',
      '1,250.00',
      '99.99',
      '1,349.99',
    ])
      expect(paper).toContain(told)
    for (const kept of ['Overhead', 'Profit', '111.11', '222.22', '400.00', '3.33', '17.17', 'sets'])
      expect(paper).not.toContain(kept)
  })

  it('show the firm every line, and say that it stays inside', async () => {
    const { inner } = await within(() => useBidPaper(ref(price()), () => ({ id: 'job', name: 'Ferry house' })))
    const paper = words(inner.value)
    expect(paper).toContain('Not for the customer')
    for (const told of ['111.11', '222.22', '400.00', '1,349.99', '1.2 sets', '3.33']) expect(paper).toContain(told)
  })

  it('follow the units of the reader', async () => {
    useReader().units = 'metric'
    const { outer } = await within(() => useBidPaper(ref(price()), () => undefined))
    expect(words(outer.value)).toContain('Marl CC-20 51 mm + Fleece OC-5 89 mm')
    expect(words(outer.value)).toContain('4.47 m²·K/W')
  })
})

describe('an order as a file', () => {
  const order = {
    workDate: '2027-01-15',
    orderBy: '2027-01-09',
    lines: [
      { sheet: 'Marl CC-20', orderCount: 3, price: figure(1, '7,950.00'), drums: [] },
      { sheet: 'Fleece OC-5', orderCount: 0, price: null, drums: [] },
    ],
    findings: [],
  } as unknown as Schemas['JobOrderAnswer']
  const page = async () => (await within(() => useOrderPaper(ref(order), () => 'Ferry house'))).orderPage.value

  it('says of every line its job, its day and what it costs', async () => {
    useSession().person = { mayPrice: true, currency: '€' } as never
    expect((await page()).columns.map((c) => c.heading)).toContain('Price, €')
    expect((await page()).lines.map((l) => l.cells)).toEqual([
      ['Ferry house', '2027-01-15', '2027-01-09', 'Marl CC-20', '3', '3', '3', '7,950.00'],
    ])
  })

  it('leaves the price out for whoever may not see it', async () => {
    useSession().person = { mayPrice: false, currency: '€' } as never
    expect(words(await page())).not.toContain('7,950.00')
    expect((await page()).columns.length).toBe((await page()).lines[0]!.cells.length)
  })
})
