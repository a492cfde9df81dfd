import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import { alongside, foamScale } from './scale'

const question = (over: Partial<Schemas['SectionQuestion']>) =>
  ({
    outboard: [{ material: 'osb', thicknessMm: 11 }],
    inboard: [{ material: 'gypsum-board', thicknessMm: 12.7 }],
    members: { material: 'wood', depthMm: 184, spacingMm: 600, sharePct: 20 },
    ventChannelMm: 0,
    baffle: null,
    foamAgainst: 'outboard',
    sheetId: 'a',
    then: null,
    ...over,
  }) as Schemas['SectionQuestion']

describe('another system drawn along the first', () => {
  const first = foamScale(question({}), 'open', 184, 184, 60, 600)

  it('lies on the same substrate, to the same scale', () => {
    const slabs = alongside(first, question({}), 'closed', 92)
    const foam = slabs.find((s) => s.key === 'closed')!
    expect(foam.x).toBeCloseTo(first.origin)
    expect(foam.width).toBeCloseTo(92 * first.pxPerMm)
    expect(slabs[0]!.x).toBeCloseTo(first.slabs[0]!.x)
  })

  it('draws what both have alike, and what it adds to scale', () => {
    const more = [{ material: 'foil-board', thicknessMm: 25 }, ...question({}).inboard]
    const slabs = alongside(first, question({ inboard: more }), 'open', 120)
    expect(slabs.find((s) => s.key === 'foil-board')!.width).toBeCloseTo(25 * first.pxPerMm)
    expect(slabs.at(-1)!.width).toBe(first.slabs.at(-1)!.width)
    expect(slabs.find((s) => s.key === 'freeSpace')!.thicknessMm).toBe(64)
  })

  it('grows outward from the finish where foam is sprayed from the cold side', () => {
    const cold = question({ foamAgainst: 'inboard' })
    const own = foamScale(cold, 'closed', 100, 184, 60, 600)
    const foam = alongside(own, cold, 'open', 150).find((s) => s.key === 'open')!
    expect(foam.x + foam.width).toBeCloseTo(own.origin)
  })
})
