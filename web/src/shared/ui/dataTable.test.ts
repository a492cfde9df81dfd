import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { h, nextTick } from 'vue'
import { shown } from '../testing/shown'
import DataTable from './DataTable.vue'
import type { Column } from './dataTable'

interface Line {
  id: string
  name: string
  sets: number
  price: number
}
const rows: Line[] = [
  { id: 'a', name: 'North wall', sets: 2, price: 900 },
  { id: 'b', name: 'Roof', sets: 3, price: 1400 },
]
const columns: Column<Line>[] = [
  { key: 'name', label: 'Surface', text: (row) => row.name },
  { key: 'sets', label: 'Sets', text: (row) => row.sets, figure: true },
  {
    key: 'price',
    label: 'Price',
    text: (row) => row.price,
    figure: true,
    class: (row) => (row.sets > 2 ? 'dear' : ''),
  },
  { key: 'acts', label: '', onScreenOnly: true },
]
const table = (some: Column<Line>[], slots = {}, lines = rows) =>
  shown(
    DataTable as never,
    {
      label: 'Prices',
      columns: some,
      rows: lines,
      by: (row: Line) => row.id,
      rowClass: (row: Line) => (row.id === 'b' ? 'chosen' : ''),
      foot: { name: 'All', price: '2300' },
    },
    undefined,
    slots,
  )

const screenOf = window as unknown as { happyDOM: { setViewport: (size: { width: number }) => void } }
const widen = (width: number) => screenOf.happyDOM.setViewport({ width })

beforeEach(() => setActivePinia(createPinia()))
afterEach(() => widen(1024))

describe('a table of lines', () => {
  it('has a line for each row, headed by its first cell, and what it comes to', async () => {
    const screen = await table(columns)
    expect(screen.findAll('thead th').map((head) => head.text())).toEqual(['Surface', 'Sets', 'Price', ''])
    expect(screen.findAll('tbody tr').map((row) => row.get('[role=rowheader]').text())).toEqual(['North wall', 'Roof'])
    expect(screen.findAll('tbody .right').map((cell) => cell.text())).toEqual(['2', '900', '3', '1400'])
    expect(screen.findAll('tfoot td').map((cell) => cell.text())).toEqual(['All', '', '2300', ''])
  })

  it('marks a line and a cell, and leaves out on paper what only a hand can use', async () => {
    const screen = await table(columns)
    expect(screen.get('tr.chosen').text()).toContain('Roof')
    expect(screen.findAll('td.dear').map((cell) => cell.text())).toEqual(['1400'])
    expect(screen.findAll('thead .no-print')).toHaveLength(1)
    expect(screen.findAll('tbody .no-print')).toHaveLength(rows.length)
  })

  it('shows more than words where a slot is named like the column', async () => {
    const screen = await table(columns, {
      acts: ({ row, index }: { row: Line; index: number }) => h('b', `${index} ${row.id}`),
    })
    expect(screen.findAll('td b').map((one) => one.text())).toEqual(['0 a', '1 b'])
  })

  it('is cards on a phone, each figure under its name', async () => {
    widen(390)
    const screen = await table(columns)
    expect(screen.find('table').exists()).toBe(false)
    const cards = screen.findAll('li')
    expect(cards[0]!.text()).toContain('North wall')
    expect(cards[0]!.findAll('dt').map((name) => name.text())).toEqual(['Sets', 'Price'])
    expect(cards[1]!.classes()).toContain('chosen')
    expect(cards.at(-1)!.text()).toContain('2300')
  })

  it('stays a table on a phone it fits', async () => {
    widen(390)
    expect((await table(columns.slice(0, 3))).findAll('tbody tr')).toHaveLength(2)
  })

  const long = Array.from({ length: 800 }, (_, i) => ({ id: `${i}`, name: `Wall ${i}`, sets: i, price: i }))
  const names = (cells: { text: () => string }[]) => cells.map((cell) => cell.text())

  it('draws of a long list only what is on the screen, and all of it on paper', async () => {
    const screen = await table(columns, {}, long)
    const heads = () => names(screen.findAll('tbody [role=rowheader]'))
    expect(heads()[0]).toBe('Wall 0')
    expect(heads().length).toBeLessThan(120)
    expect(screen.findAll('tr.gap')).toHaveLength(1)

    dispatchEvent(new Event('beforeprint'))
    await nextTick()
    expect(heads()).toEqual(long.map((line) => line.name))
    expect(screen.findAll('tr.gap')).toHaveLength(0)
    dispatchEvent(new Event('afterprint'))
    await nextTick()
    expect(heads().length).toBeLessThan(120)
  })

  it('draws what one has scrolled to, and tells a slot which line of the whole it is', async () => {
    const screen = await table(columns, { acts: ({ index }: { index: number }) => h('b', `no. ${index}`) }, long)
    screen.get('tbody').element.getBoundingClientRect = () => ({ top: -400 * 40 }) as DOMRect
    dispatchEvent(new Event('scroll'))
    await nextTick()
    const first = screen.get('tbody [role=rowheader]').text()
    const at = Number(first.replace('Wall ', ''))
    expect(at).toBeGreaterThan(350)
    expect(at).toBeLessThan(400)
    expect(screen.get('tbody b').text()).toBe(`no. ${at}`)
    expect(screen.findAll('tr.gap')).toHaveLength(2)
  })

  it('draws of many cards only those on the screen', async () => {
    widen(390)
    const screen = await table(columns, {}, long)
    expect(screen.findAll('li:not(.gap):not(.foot)').length).toBeLessThan(120)
    expect(screen.findAll('li.gap')).toHaveLength(1)
  })
})
