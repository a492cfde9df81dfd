import { describe, expect, it } from 'vitest'
import { BREAK_MM, layOut } from './widths'

const wall = [
  { key: 'rubble-stone', thicknessMm: 500 },
  { key: 'closed', thicknessMm: 100 },
  { key: 'gypsum-board', thicknessMm: 12.5 },
]

describe('a section laid out', () => {
  it('fills the room it is given, without gaps or overlaps', () => {
    const drawn = layOut(wall, 20, 420, 3)
    expect(drawn[0]!.x).toBe(20)
    drawn.slice(1).forEach((slab, i) => expect(slab.x).toBeCloseTo(drawn[i]!.x + drawn[i]!.width, 6))
    const last = drawn.at(-1)!
    expect(last.x + last.width).toBeCloseTo(420, 6)
  })

  it('breaks a thick wall but keeps foam to scale with the other layers', () => {
    const [stone, foam, board] = layOut(wall, 0, 400, 3)
    expect(stone!.broken).toBe(true)
    expect(stone!.width / foam!.width).toBeCloseTo(BREAK_MM / 100, 6)
    expect(foam!.width / board!.width).toBeCloseTo(100 / 12.5, 6)
  })

  it('keeps a thin skin visible', () => {
    const [skin] = layOut([{ key: 'steel-skin', thicknessMm: 0.6 }, ...wall], 0, 400, 4)
    expect(skin!.width).toBe(4)
  })
})
