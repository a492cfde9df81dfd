import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { ratioChart } from './ratioChart'

const job = (over: Partial<Schemas['PastJobAnswer']>): Schemas['PastJobAnswer'] => ({
  id: '1',
  name: 'Barn',
  crew: 'Heron',
  sheetId: 'a',
  sheet: 'A',
  family: 'closedStandard',
  finishedOn: '2026-07-16',
  figures: {},
  ratioPct: 97,
  substrateC: 10,
  winsorised: false,
  jobId: null,
  leftOutBecause: '',
  version: 1,
  ...over,
})
interface Drawn {
  series: { name: string; symbol: string; data: [number, number, string][] }[]
}
const draw = (jobs: Schemas['PastJobAnswer'][], over: 'temperature' | 'season', units: 'us' | 'metric') =>
  ratioChart(jobs, over, units, (key) => key) as unknown as Drawn

describe('the chart of finished jobs', () => {
  it('sets temperature in the reader’s units', () => {
    expect(draw([job({})], 'temperature', 'us').series[0]!.data[0]!.slice(0, 2)).toEqual([50, 97])
    expect(draw([job({})], 'temperature', 'metric').series[0]!.data[0]![0]).toBe(10)
  })

  it('sets the season by month and part of it', () => {
    expect(draw([job({})], 'season', 'us').series[0]!.data[0]![0]).toBeCloseTo(7 + 16 / 31)
  })

  it('tells crews apart by the shape of their mark and leaves out what does not count', () => {
    const { series } = draw(
      [job({}), job({ crew: 'Plover' }), job({ leftOutBecause: 'leak' }), job({ ratioPct: null })],
      'season',
      'us',
    )
    expect(series.map((one) => one.data.length)).toEqual([1, 1])
    expect(new Set(series.map((one) => one.symbol)).size).toBe(2)
  })
})
