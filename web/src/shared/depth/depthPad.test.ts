import { describe, expect, it } from 'vitest'
import { countOf, mmOf, textOf } from './depthPad'

describe('the pad for depths', () => {
  it('writes every depth it can show so that it is read back as the same', () => {
    for (const units of ['us', 'metric'] as const)
      for (let count = 1; count <= (units === 'us' ? 184 : 600); count++)
        expect(countOf(mmOf(textOf(count, units))!, units)).toBe(count)
  })

  it('writes eighths as a rule is read', () => {
    expect([1, 2, 4, 6, 8, 17, 20].map((count) => textOf(count, 'us'))).toEqual([
      '1/8 in',
      '1/4 in',
      '1/2 in',
      '3/4 in',
      '1 in',
      '2 1/8 in',
      '2 1/2 in',
    ])
    expect(mmOf('2 1/8 in')).toBeCloseTo(53.975, 9)
  })

  it('stays within what can be sprayed, and makes nothing of other words', () => {
    expect(countOf(-5, 'metric')).toBe(1)
    expect(countOf(5_000, 'us')).toBe(184)
    for (const text of ['', 'two', '2 1/8', 'in', '1 mm deep']) expect(mmOf(text)).toBeNull()
  })
})
