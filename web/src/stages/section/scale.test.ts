import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { foamScale, slabsOf, snap, stepMm } from './scale'

const wall = {
  outboard: [{ material: 'osb', thicknessMm: 11 }],
  inboard: [{ material: 'gypsum-board', thicknessMm: 12.7 }],
  members: { material: 'wood', depthMm: 140, spacingMm: 406, sharePct: 25 },
  ventChannelMm: 0,
  baffle: null,
  foamAgainst: 'outboard',
} as unknown as Schemas['SectionQuestion']

describe('the drawn section', () => {
  it('leaves the depth not filled with foam free', () => {
    const free = slabsOf(wall, 'closed', 100).find((s) => s.key === 'freeSpace')
    expect(free?.thicknessMm).toBe(40)
  })

  it('keeps channel and baffle out of the depth for foam', () => {
    const roof = { ...wall, ventChannelMm: 25, baffle: { material: 'plywood', thicknessMm: 5 } }
    const free = slabsOf(roof, 'closed', 100).find((s) => s.key === 'freeSpace')
    expect(free?.thicknessMm).toBe(10)
  })

  it('does not change its scale while the face moves', () => {
    const thin = foamScale(wall, 'closed', 20, 140, 0, 600)
    const thick = foamScale(wall, 'closed', 120, 140, 0, 600)
    expect(thin.pxPerMm).toBeCloseTo(thick.pxPerMm, 9)
    expect(thin.origin).toBeCloseTo(thick.origin, 9)
    expect(thick.slabs.find((s) => s.key === 'closed')!.width).toBeCloseTo(120 * thick.pxPerMm, 9)
  })

  it('has no gaps, whichever side the foam lies against', () => {
    for (const foamAgainst of ['outboard', 'inboard'] as const) {
      const { slabs } = foamScale({ ...wall, foamAgainst }, 'open', 77, 140, 0, 600)
      slabs.slice(1).forEach((s, i) => expect(s.x).toBeCloseTo(slabs[i]!.x + slabs[i]!.width, 6))
    }
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
