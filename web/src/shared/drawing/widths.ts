export interface Slab {
  key: string
  thicknessMm: number
  /** Never drawn broken, however thick. */
  whole?: boolean
}

export interface DrawnSlab extends Slab {
  x: number
  width: number
  /** Drawn shorter than it is, with a break line. */
  broken: boolean
}

/** Thicker layers than this are drawn broken, so that the foam stays readable beside a stone wall. */
export const BREAK_MM = 160

/** Lays slabs side by side, to one scale; thin ones keep a least width and thick ones are broken. The foam and the space beside it are never broken. */
export function layOut(slabs: readonly Slab[], from: number, to: number, least: number): DrawnSlab[] {
  const isWhole = ({ key, whole }: Slab) => whole ?? (key === 'open' || key === 'closed' || key === 'freeSpace')
  const drawn = slabs.map((slab) => (isWhole(slab) ? slab.thicknessMm : Math.min(slab.thicknessMm, BREAK_MM)))
  const scale = scaleFor(drawn, to - from, least)
  let x = from
  return slabs.map((slab, i) => {
    const width = Math.max(least, drawn[i]! * scale)
    const at = x
    x += width
    return { ...slab, x: at, width, broken: !isWhole(slab) && slab.thicknessMm > BREAK_MM }
  })
}

// Slabs held at the least width take their room first; the rest share what is left, until no further one falls under it.
function scaleFor(drawn: readonly number[], room: number, least: number): number {
  let scale = room / Math.max(1e-9, sum(drawn))
  for (let round = 0; round < drawn.length; round++) {
    const thin = drawn.filter((mm) => mm * scale < least)
    const rest = sum(drawn) - sum(thin)
    const next = rest > 0 ? (room - thin.length * least) / rest : scale
    if (Math.abs(next - scale) < 1e-9) break
    scale = next
  }
  return scale
}

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0)
