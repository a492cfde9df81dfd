import type { Schemas } from '@/shared/api/client'

type Sketch = Schemas['SketchAnswer']

const HIGH = 300
const LOW = 150
const EDGE = 16

/** How a sketch in metres is drawn: to scale, but a band of a few inches high enough to put a thumb on. */
export function scaleOf(sketch: Sketch, wide: number) {
  const across = Math.min((wide - 2 * EDGE) / sketch.widthM, (HIGH - 2 * EDGE) / sketch.heightM)
  const up = Math.max(across, (LOW - 2 * EDGE) / sketch.heightM)
  return {
    width: sketch.widthM * across + 2 * EDGE,
    height: sketch.heightM * up + 2 * EDGE,
    isStretched: up > across * 1.01,
    x: (metres: number) => EDGE + metres * across,
    y: (metres: number) => EDGE + (sketch.heightM - metres) * up,
    points: (path: { xy: readonly number[] }) => pairs(path.xy, across, up, sketch.heightM),
    across,
    up,
  }
}

function pairs(xy: readonly number[], across: number, up: number, height: number) {
  return Array.from(
    { length: xy.length / 2 },
    (_, i) => `${EDGE + xy[2 * i]! * across},${EDGE + (height - xy[2 * i + 1]!) * up}`,
  ).join(' ')
}
