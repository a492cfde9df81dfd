import { expect, test } from 'vitest'
import { scaleOf } from './sketchScale'

const sketch = (widthM: number, heightM: number) => ({
  widthM,
  heightM,
  faces: [{ xy: [0, 0, widthM, 0, widthM, heightM, 0, heightM] }],
  openings: [],
  members: [],
})

test('a wall is drawn to scale', () => {
  const scale = scaleOf(sketch(6, 2.4), 640)
  expect(scale.isStretched).toBe(false)
  expect(scale.across).toBe(scale.up)
  // The foot is below the top.
  expect(scale.y(0)).toBeGreaterThan(scale.y(2.4))
})

test.each([360, 640])(
  'a band of a few inches is high enough for a thumb in %d dots, and says that it is drawn so',
  (wide) => {
    const scale = scaleOf(sketch(40, 0.3), wide)
    expect(scale.isStretched).toBe(true)
    expect(scale.height).toBeGreaterThanOrEqual(150)
    expect(scale.width).toBeLessThanOrEqual(wide)
    const corners = scale
      .points(sketch(40, 0.3).faces[0]!)
      .split(' ')
      .map((pair) => pair.split(',').map(Number))
    for (const [x, y] of corners) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(scale.width)
      expect(y).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThanOrEqual(scale.height)
    }
  },
)
