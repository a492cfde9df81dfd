import { describe, expect, it } from 'vitest'
import { alongside, filledMm, foamScale, linedThrough, snap, stepMm } from './scale'
import { laidWall } from './laidWall'

const ROOM = 140
const of = <T extends { part: string }>(slabs: readonly T[], part: string) => slabs.find((slab) => slab.part === part)!

describe('the drawn section', () => {
  it('does not change its scale while the face moves', () => {
    const thin = foamScale(laidWall({ foam: 20 }), 'outboard', ROOM, 0, 600)
    const thick = foamScale(laidWall({ foam: 120 }), 'outboard', ROOM, 0, 600)
    expect(thin.pxPerMm).toBeCloseTo(thick.pxPerMm, 9)
    expect(thin.origin).toBeCloseTo(thick.origin, 9)
    expect(of(thick.slabs, 'moved').width).toBeCloseTo(120 * thick.pxPerMm, 9)
    expect(of(thin.slabs, 'free').width).toBeCloseTo(120 * thin.pxPerMm, 9)
  })

  it('has no gaps, whichever side the foam lies against', () => {
    for (const against of ['outboard', 'inboard'] as const) {
      const { slabs, origin } = foamScale(laidWall({ foam: 77, against }), against, ROOM, 0, 600)
      slabs.slice(1).forEach((s, i) => expect(s.x).toBeCloseTo(slabs[i]!.x + slabs[i]!.width, 6))
      const foam = of(slabs, 'moved')
      expect(against === 'outboard' ? foam.x : foam.x + foam.width).toBeCloseTo(origin, 6)
    }
  })

  it('draws every layer, also two of one material on either side of the face', () => {
    const laid = laidWall({ foam: 60, fill: 'foil-board', outer: ['foil-board', 'osb'], inner: ['foil-board'] })
    const { slabs } = foamScale(laid, 'outboard', ROOM, 0, 600)
    expect(slabs.map((slab) => slab.id)).toEqual(laid.layers.map((layer) => layer.id))
    expect(slabs.filter((slab) => slab.key === 'foil-board' && slab.width > 0)).toHaveLength(3)
  })
})

describe('the lines through a section', () => {
  it('begin at the face of the foam where nothing covers it, and run through the free depth where something does', () => {
    const bare = foamScale(laidWall({ foam: 60, outer: [], against: 'inboard' }), 'inboard', ROOM, 60, 600)
    expect(bare.slabs[0]!.part).toBe('free')
    expect(linedThrough(bare.slabs).left).toBeCloseTo(of(bare.slabs, 'moved').x)
    const covered = foamScale(laidWall({ foam: 60, against: 'inboard' }), 'inboard', ROOM, 60, 600)
    expect(linedThrough(covered.slabs).slabs).toEqual(covered.slabs)
  })
})

describe('another system drawn along the first', () => {
  const first = foamScale(laidWall({ foam: 140 }), 'outboard', ROOM, 60, 600)

  it('lies on the same substrate, to the same scale', () => {
    const slabs = alongside(first, laidWall({ foam: 92 }))
    expect(of(slabs, 'moved').x).toBeCloseTo(first.origin)
    expect(of(slabs, 'moved').width).toBeCloseTo(92 * first.pxPerMm)
    expect(slabs[0]!.x).toBeCloseTo(first.slabs[0]!.x)
  })

  it('draws what both have alike, and what it adds to scale', () => {
    const slabs = alongside(first, laidWall({ foam: 120, inner: ['foil-board', 'gypsum-board'] }))
    expect(slabs.find((s) => s.key === 'foil-board')!.width).toBeCloseTo(12 * first.pxPerMm)
    expect(slabs.at(-1)!.width).toBe(first.slabs.at(-1)!.width)
  })

  it('grows outward from the finish where foam is sprayed from the cold side', () => {
    const own = foamScale(laidWall({ foam: 100, against: 'inboard' }), 'inboard', ROOM, 60, 600)
    const foam = of(alongside(own, laidWall({ foam: 130, against: 'inboard' })), 'moved')
    expect(foam.x + foam.width).toBeCloseTo(own.origin)
  })

  it('takes as much room as all that is put in', () => {
    expect(filledMm(laidWall({ foam: 100, fill: 'fibre-batt' }))).toBe(125)
  })
})

describe('a thickness moved by hand', () => {
  it('lands on quarter inches or five millimetres and stays within the sheet', () => {
    expect(snap(100, 'us', 152.4) / 6.35).toBeCloseTo(16, 9)
    expect(snap(101.9, 'metric', 152)).toBe(100)
    expect(snap(999, 'us', 152.4)).toBe(152.4)
    expect(snap(-5, 'metric', 152)).toBe(5)
    expect(stepMm('us', true)).toBe(25.4)
  })
})
