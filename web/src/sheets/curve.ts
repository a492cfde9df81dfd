import type { SheetCurve } from './sheets'

export const CURVE = { width: 360, height: 190, left: 56, right: 30, top: 26, bottom: 30 }

// Narrower than this two labels run into one another.
const LABEL = 46

export interface CurveDot {
  x: number
  y: number
  /** The points along the axis whose label there is room for. */
  isLabelled: boolean
}

const scale = (from: number, to: number, start: number, end: number) => (value: number) =>
  from === to ? (start + end) / 2 : start + ((value - from) / (to - from)) * (end - start)

/** Where the points of a curve are drawn. A curve that can be read from nothing on starts there; others fill the frame. */
export function dotsOf({ path, points }: Pick<SheetCurve, 'path' | 'points'>): CurveDot[] {
  if (!points.length) return []
  const fromNothing = path === 'agedR'
  const [xs, ys] = [points.map(({ x }) => x.amount), points.map(({ y }) => y.amount)]
  const { width, height, left, right, top, bottom } = CURVE
  const across = scale(fromNothing ? 0 : Math.min(...xs), Math.max(...xs), left, width - right)
  const up = scale(fromNothing ? 0 : Math.min(...ys), Math.max(...ys), height - bottom - (fromNothing ? 0 : 24), top)
  let last = -Infinity
  return points.map(({ x, y }, at) => {
    const dot = { x: across(x.amount), y: up(y.amount) }
    const isLabelled = dot.x - last >= LABEL && (at === points.length - 1 || across(xs.at(-1)!) - dot.x >= LABEL)
    if (isLabelled) last = dot.x
    return { ...dot, isLabelled }
  })
}
