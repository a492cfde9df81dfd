import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { figure, shown, worked } from '@/shared/testing/shown'
import CrewCurve from './CrewCurve.vue'

const crew = (rest: object = {}) => ({
  priorSd: 0.1,
  dataMean: Math.log(0.9),
  dataSd: 0.05,
  logMean: Math.log(0.92),
  logSd: 0.04,
  factor: worked('92 %'),
  low: figure(0.85, '85 %'),
  high: figure(0.99, '99 %'),
  ...rest,
})

const drawn = (rest?: object) => shown(CrewCurve, { crew: crew(rest) })

/** Where a bell is highest, across. */
function peak(path: string) {
  const points = path
    .slice(1)
    .split('L')
    .map((point) => point.split(' ').map(Number) as [number, number])
  return points.reduce((top, point) => (point[1] < top[1] ? point : top))[0]
}

beforeEach(() => setActivePinia(createPinia()))

describe('what a crew yields', () => {
  it('is drawn over its own axis: before any job at the sheet, after them where they put it', async () => {
    const screen = await drawn()
    const at = (label: string) =>
      Number(
        screen
          .findAll('text')
          .find((text) => text.text() === label)!
          .attributes('x'),
      )
    const path = (name: string) => screen.find(`path.${name}`).attributes('d')!
    expect(peak(path('prior'))).toBeCloseTo(at('1'), 0)
    expect(peak(path('data'))).toBeGreaterThan(at('0.8'))
    expect(Math.abs(peak(path('data')) - at('0.9'))).toBeLessThan(3)
    expect(peak(path('posterior'))).toBeGreaterThan(peak(path('data')))
    expect(peak(path('posterior'))).toBeLessThan(peak(path('prior')))
  })

  it('has no curve of jobs before the first, and says its range in words', async () => {
    const screen = await drawn({ dataMean: null, dataSd: null })
    expect(screen.find('path.data').exists()).toBe(false)
    expect(screen.find('svg').attributes('aria-label')).toMatch(/92 %.*85 %.*99 %/)
  })
})
