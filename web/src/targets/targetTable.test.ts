import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { entriesBelongTo } from '@/shared/keeping/entries'
import { keeps, kindOf, type Sent } from '@/shared/keeping/kinds'
import '@/shared/keeping/records'
import { figure, shown } from '@/shared/testing/shown'
import TargetTable from './TargetTable.vue'

const send = vi.fn<(sent: Sent) => Promise<unknown>>()
const real = kindOf('targets')!
keeps('targets', { ...real, routes: { '': { ...real.routes['']!, send: (_, sent) => send(sent) } }, took: () => 0 })
afterAll(() => keeps('targets', real))

const cell = (zone: string, field: string, u: string) => ({ zone, field, greatestU: figure(0.3, u) })
const set = {
  id: 't',
  edition: 'County 2026',
  own: true,
  version: 1,
  lines: [
    { element: 'framedWall', cells: [cell('6A', 'framedWall:6A', '0.045'), cell('5A', 'framedWall:5A', '0.060')] },
    { element: 'roof', cells: [cell('6A', 'roof:6A', '0.026')] },
  ],
  slabs: [],
}
const table = (mayEdit: boolean) =>
  shown(TargetTable, { set, mayEdit }, (queries) => queries.setQueryData(['targetSets'], [set]))

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  entriesBelongTo(`person ${Math.random()}`)
  send.mockReset().mockResolvedValue({ ...set, version: 2 })
})

describe('a table of targets', () => {
  it('puts no figure under another zone: what an edition does not say stays empty', async () => {
    const rows = (await table(false))
      .findAll('tbody tr')
      .map((row) => row.findAll('td:not([role=rowheader])').map((at) => at.text()))
    expect((await table(false)).findAll('thead th').map((head) => head.text().slice(-2))).toEqual(['rt', '5A', '6A'])
    expect(rows).toEqual([
      ['0.060', '0.045'],
      ['–', '0.026'],
    ])
  })

  it('takes a figure where it stands, under the field of its element and zone', async () => {
    const screen = await table(true)
    const field = screen.find('input[name="framedWall:5A"]')
    await field.setValue('0.055')
    await field.trigger('blur')
    await flushPromises()
    expect(send.mock.calls[0]![0]).toMatchObject({ version: 1, fields: { 'framedWall:5A': '0.055' } })
  })

  it('has no fields for one who may only read', async () => {
    expect((await table(false)).findAll('input')).toEqual([])
  })
})
