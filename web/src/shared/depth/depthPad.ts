import type { Units } from '@/shared/state/reader'

/** Depth as it is read with a gauge: in eighths of an inch, or in millimetres. */
const EIGHTHS = 8
const MM_OF_EIGHTH = 25.4 / EIGHTHS

/** Small and large step of the pad, in what it counts. */
export const STEPS: Record<Units, readonly [small: number, large: number]> = {
  us: [1, EIGHTHS],
  metric: [1, 10],
}

/** The most the pad goes to: no sheet rates more. */
const MOST: Record<Units, number> = { us: 23 * EIGHTHS, metric: 600 }

/** So many eighths, or millimetres, nearest to a depth. */
export const countOf = (mm: number, units: Units) => within(Math.round(units === 'us' ? mm / MM_OF_EIGHTH : mm), units)

export const within = (count: number, units: Units) => Math.min(Math.max(count, 1), MOST[units])

/** What is typed for so many. */
export function textOf(count: number, units: Units) {
  if (units === 'metric') return `${count} mm`
  const [inches, eighths] = [Math.floor(count / EIGHTHS), count % EIGHTHS]
  const fraction = eighths && shortened(eighths)
  return [inches || (fraction ? '' : '0'), fraction].filter((part) => part !== '' && part !== 0).join(' ') + ' in'
}

/** The depth of a text of the pad, mm; null where it is none of its own. */
export function mmOf(text: string): number | null {
  const metric = /^(\d+) mm$/.exec(text)
  if (metric) return Number(metric[1])
  const [, inches = '', over, under] = /^(\d+)?(?: ?(\d)\/(\d))? in$/.exec(text) ?? []
  if (!inches && !over) return null
  return 25.4 * (Number(inches || 0) + (over ? Number(over) / Number(under) : 0))
}

function shortened(eighths: number) {
  if (eighths === 4) return '1/2'
  return eighths % 2 ? `${eighths}/8` : `${eighths / 2}/4`
}
