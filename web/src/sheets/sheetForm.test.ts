import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { entriesBelongTo } from '@/shared/keeping/entries'
import { useReader } from '@/shared/state/reader'
import { shown } from '@/shared/testing/shown'
import { isBare, unitOf } from './bareNumbers'
import { useSheetForm, type SheetForm } from './useSheetForm'

const sent = vi.hoisted(() => vi.fn())
vi.mock('@/shared/api/client', async (original) => {
  const real = await original<typeof import('@/shared/api/client')>()
  const fault = { field: 'edition', code: 'contradicts', typed: '', words: ['editionTaken'] }
  return {
    ...real,
    ask: (answer: unknown) => Promise.resolve(answer),
    api: {
      GET: () => Promise.resolve({}),
      POST: (path: string, { body }: { body: { fields: Record<string, string>; units: string } }) => {
        sent(path, body)
        if (path === '/api/sheets') return Promise.reject(new real.ApiProblem(400, '', [fault], null))
        // As the server reads it: the figure of what was typed, in both systems.
        const typed = body.fields['substrateC.least']
        const figure = typed ? { amount: 7, us: '45 °F', metric: '7.2222 °C' } : null
        const line = { path: 'substrateC.least', part: 'conditions', figure, text: null, dimension: 'temperature' }
        return { lines: [{ ...line, mayBeBlank: false, words: [] }], curves: [], faults: [] }
      },
      PUT: () => Promise.resolve({}),
    },
  }
})

async function typedOn() {
  let form!: SheetForm
  const Page = defineComponent({
    setup: () => (
      (form = useSheetForm(
        () => '',
        () => '',
      )),
      () => h('i')
    ),
  })
  await shown(Page, {})
  await vi.waitFor(() => expect(form.lines.value).toHaveLength(1))
  return form
}
const lastFields = () => (sent.mock.lastCall?.[1] as { fields: Record<string, string> }).fields

beforeEach(() => {
  setActivePinia(createPinia())
  entriesBelongTo(`person ${Math.random()}`)
  sent.mockReset()
})

describe('a sheet typed from nothing', () => {
  it('sends what was typed each time, also once the server has read it', async () => {
    const form = await typedOn()
    form.values['substrateC.least'] = '45 °F'
    await vi.waitFor(() => expect(lastFields()).toMatchObject({ 'substrateC.least': '45 °F' }))
    await flushPromises()
    form.values['name'] = 'Teasel'
    await vi.waitFor(() => expect(lastFields()).toMatchObject({ name: 'Teasel', 'substrateC.least': '45 °F' }))
    expect(form.values['substrateC.least']).toBe('45 °F')
  })

  it('tells what a save was refused for until one types on', async () => {
    const form = await typedOn()
    form.values['name'] = 'Teasel'
    expect(await form.save()).toBeNull()
    expect(form.faults.value.edition).toContain('already')
    form.values['edition'] = 'sheet 4'
    await flushPromises()
    expect(form.faults.value.edition).toBeUndefined()
  })

  it('keeps a bare number in the units it was typed in when the reader changes theirs', async () => {
    const form = await typedOn()
    const before = form.lines.value
    form.values['substrateC.least'] = '45'
    // Forms of the tests before look at what is typed too: this one has to have its own answer.
    await vi.waitFor(() => expect(form.lines.value).not.toBe(before), 10_000)
    useReader().switchUnits()
    expect(form.values['substrateC.least']).toBe('45 °F')
  })
})

describe('a bare number', () => {
  it('is digits and fractions alone', () => {
    for (const text of ['45', '-5', '1 1/2', '2½', '1,250.5']) expect(isBare(text), text).toBe(true)
    for (const text of ['45 F', 'R-20', '', '  ', '2 in', 'sheet 3', '7\'6"']) expect(isBare(text), text).toBe(false)
  })

  it('is of the unit its line or its point is printed in', () => {
    const figure = (us: string, metric: string) => ({ amount: 1, us, metric })
    const curve = {
      path: 'agedR',
      part: 'foam' as const,
      x: 'thicknessIn',
      y: 'r',
      points: [{ x: figure('1 1/2 in', '38.1 mm'), y: figure('R-9.6', '1.69 m²K/W') }],
    }
    const read = { lines: [], curves: [curve] }
    expect(unitOf('agedR.n0.thicknessIn', read, 'us')).toBe('in')
    expect(unitOf('agedR.n0.r', read, 'us')).toBe('R')
    expect(unitOf('agedR.n0.r', read, 'metric')).toBe('m²K/W')
    expect(unitOf('name', read, 'us')).toBe('')
  })
})
