import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { useReader } from '@/shared/state/reader'
import { figure, shown } from '@/shared/testing/shown'
import PlaceMonths from './PlaceMonths.vue'

const place = (temps: number[]) => ({
  name: 'Fen',
  temps: temps.map((at) => figure(at, `${Math.round(at * 1.8 + 32)} °F`, `${at} °C`)),
  humidities: temps.map(() => figure(70, '70 %')),
})
const heights = async (temps: number[]) =>
  (await shown(PlaceMonths, { place: place(temps) }))
    .findAll('.stroke')
    .map((stroke) => Number.parseFloat((stroke.element as HTMLElement).style.height))

beforeEach(() => setActivePinia(createPinia()))

describe("a place's months", () => {
  it('are as high as they are warm, the coldest still to be seen', async () => {
    const year = [-10, -8, -2, 5, 12, 17, 20, 19, 14, 8, 1, -6]
    const drawn = await heights(year)
    const order = (list: number[]) => list.map((_, i) => i).sort((a, b) => list[a]! - list[b]!)
    expect(order(drawn)).toEqual(order(year))
    expect(Math.min(...drawn)).toBeGreaterThan(0)
    expect(drawn[4]! - drawn[0]!).toBeCloseTo(((12 + 10) / 30) * (drawn[6]! - drawn[0]!), 6)
  })

  it('are alike where the year is', async () => {
    expect(new Set(await heights(Array.from({ length: 12 }, () => 9))).size).toBe(1)
  })

  it('speak the units of the reader', async () => {
    const screen = await shown(PlaceMonths, { place: place(Array.from({ length: 12 }, () => 10)) })
    expect(screen.text()).toContain('50 °F')
    useReader().units = 'metric'
    await screen.vm.$nextTick()
    expect(screen.text()).toContain('10 °C')
    expect(screen.text()).not.toContain('°F')
  })
})
