import { describe, expect, it } from 'vitest'
import { figure } from '@/shared/testing/shown'
import { CURVE, dotsOf } from './curve'

const curve = (path: string, points: [number, number][]) => ({
  path,
  points: points.map(([x, y]) => ({ x: figure(x, `${x}`), y: figure(y, `${y}`) })),
})

describe('a curve of a sheet', () => {
  it('rises from nothing where it is read from nothing on, in proportion', () => {
    const [first, second] = dotsOf(
      curve('agedR', [
        [1, 7],
        [2, 14],
      ]),
    )
    const [floor, wall] = [CURVE.height - CURVE.bottom, CURVE.left]
    expect((first!.x - wall) / (second!.x - wall)).toBeCloseTo(0.5)
    expect((floor - first!.y) / (floor - second!.y)).toBeCloseTo(0.5)
    expect(second!.x).toBe(CURVE.width - CURVE.right)
  })

  it('fills the frame where it starts somewhere, and stays within it', () => {
    const dots = dotsOf(
      curve('yieldByDrum', [
        [18, 0.97],
        [21, 1],
        [27, 1],
      ]),
    )
    expect(dots[0]!.x).toBe(CURVE.left)
    expect(dots.at(-1)!.x).toBe(CURVE.width - CURVE.right)
    expect(dots.every(({ y }) => y >= CURVE.top && y <= CURVE.height - CURVE.bottom)).toBe(true)
  })

  it('keeps labels apart, and always names the last point, past which it is not read', () => {
    const dots = dotsOf(
      curve(
        'agedR',
        Array.from({ length: 30 }, (_, i) => [i + 1, i + 1]),
      ),
    )
    const labelled = dots.filter((dot) => dot.isLabelled)
    expect(labelled.at(-1)).toBe(dots.at(-1))
    labelled.slice(1).forEach((dot, i) => expect(dot.x - labelled[i]!.x).toBeGreaterThanOrEqual(46))
  })

  it('is drawn of one point, and not at all of none', () => {
    expect(dotsOf(curve('yieldByDrum', [[20, 1]]))).toHaveLength(1)
    expect(dotsOf(curve('agedR', []))).toEqual([])
  })
})
