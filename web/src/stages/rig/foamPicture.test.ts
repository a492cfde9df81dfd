import { describe, expect, it } from 'vitest'
import { foamPicture } from './foamPicture'
import { LOOKS, lookWith } from './looks'

describe('the drawing of a look', () => {
  it.each(Object.entries(LOOKS))('%s: every choice is drawn otherwise than the others', (field, options) => {
    const drawn = options.map((option) => JSON.stringify(foamPicture(lookWith(field, option))))
    expect(new Set(drawn).size).toBe(options.length)
  })

  it('is the same for the same look, and of good foam where nothing was looked at', () => {
    expect(foamPicture({ cells: 'coarse' })).toEqual(foamPicture({ cells: 'coarse' }))
    expect(foamPicture({})).toEqual(
      foamPicture({ rose: 'full', skin: 'smooth', cells: 'fine', colour: 'usual', feel: 'firm' }),
    )
  })

  it('keeps every cell within the foam and every part within its frame', () => {
    for (const [field, options] of Object.entries(LOOKS))
      for (const option of options) {
        const { cells, holes, outline } = foamPicture(lookWith(field, option))
        expect(outline).not.toContain('NaN')
        for (const { x, y, rx, ry } of [...cells, ...holes]) {
          expect(x - rx).toBeGreaterThan(0)
          expect(x + rx).toBeLessThan(96)
          expect(y - ry).toBeGreaterThan(0)
          expect(y + ry).toBeLessThan(52)
        }
      }
  })

  it('stands lower where it rose less, and off the ground where it stands off', () => {
    const top = (look: Parameters<typeof foamPicture>[0]) =>
      Math.min(...[...foamPicture(look).outline.matchAll(/[ML] [\d.]+ ([\d.]+)/g)].map(([, y]) => Number(y)))
    expect(top({ rose: 'none' })).toBeGreaterThan(top({ rose: 'low' }))
    expect(top({ rose: 'low' })).toBeGreaterThan(top({}))
    expect(top({ adhesion: 'gap' })).toBeLessThan(top({}))
  })
})
