import { describe, expect, it } from 'vitest'
import { paint, warmth } from './thermal'

const light = ([r, g, b]: readonly [number, number, number]) => 0.2126 * r + 0.7152 * g + 0.0722 * b

describe('the scale of warmth', () => {
  it('grows lighter all the way, so that it reads without colour', () => {
    const steps = Array.from({ length: 41 }, (_, i) => light(warmth(i / 40)))
    for (let i = 1; i < steps.length; i++) expect(steps[i]!).toBeGreaterThan(steps[i - 1]!)
  })

  it('keeps to its ends outside its range', () => {
    expect(warmth(-3)).toEqual(warmth(0))
    expect(warmth(9)).toEqual(warmth(1))
  })

  it('paints the coldest dot darkest and the warmest lightest', () => {
    const pixels = paint([5, 20, 12])
    expect([...pixels.slice(0, 3)]).toEqual([...warmth(0)])
    expect([...pixels.slice(4, 7)]).toEqual([...warmth(1)])
    expect(pixels[3]).toBe(255)
  })

  it('paints an even picture without dividing by nothing', () => {
    expect([...paint([7, 7]).slice(0, 3)]).toEqual([...warmth(0.5)])
  })
})
