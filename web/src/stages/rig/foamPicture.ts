import type { Schemas } from '@/shared/api/client'

/** How foam looks, as far as a drawing shows it; what is left out is as in good foam. */
export interface FoamLook {
  rose?: Schemas['ShotRise']
  skin?: Schemas['ShotSkin']
  cells?: Schemas['ShotCells']
  colour?: Schemas['ShotColour']
  feel?: Schemas['ShotFeel']
  adhesion?: Schemas['ShotAdhesion']
  layers?: Schemas['ShotLayers']
  pooling?: boolean
  shrinks?: boolean
  blowholes?: boolean
  scorch?: boolean
}

export interface Cell {
  x: number
  y: number
  rx: number
  ry: number
}

/** A cut through a bead of foam on its substrate, in a frame of 96 by 60: what the drawing of a look is made of. */
export interface FoamPicture {
  outline: string
  fill: string
  cells: Cell[]
  /** Lines within: where layers part, streaks, a dent, threads. */
  lines: string[]
  holes: Cell[]
  scorched?: Cell
  shine?: string
}

const [WIDE, GROUND] = [96, 50]
const RISES: Record<NonNullable<Schemas['ShotRise']>, number> = { full: 34, low: 20, none: 9 }
const FILLS: Record<NonNullable<Schemas['ShotColour']>, string> = {
  usual: 'usual',
  dark: 'dark',
  pale: 'pale',
  streaked: 'usual',
}
const SIZES: Record<NonNullable<Schemas['ShotCells']>, [number, number, number]> = {
  // Width, height and how far apart.
  fine: [1.1, 1.1, 6],
  coarse: [2.8, 2.6, 9],
  drawn: [1.2, 4.2, 8],
  collapsed: [3.4, 1, 9],
}

/** The picture of a look. The same look gives the same picture. */
export function foamPicture(look: FoamLook): FoamPicture {
  const shrunk = look.shrinks ? 0.86 : 1
  const height = RISES[look.rose ?? 'full'] * (look.pooling ? 0.75 : 1) * shrunk
  const half = (look.pooling ? 44 : 36) * shrunk
  const lift = look.adhesion === 'gap' ? 3 : look.adhesion === 'peels' ? 5 : 0
  const base = GROUND - lift
  const top = (x: number) => base - height * Math.sqrt(Math.max(0, 1 - ((x - WIDE / 2) / half) ** 2))
  return {
    outline: outline(look, half, base, top),
    fill: FILLS[look.colour ?? 'usual'],
    cells: cells(look, half, base, top),
    lines: [...layersOf(look, half, base, height), ...marksOf(look, half, base, height)],
    holes: look.blowholes ? [0.3, 0.55, 0.74].map((at, i) => hole(at, i, half, base, height)) : [],
    scorched: look.scorch ? { x: WIDE / 2, y: base - height * 0.42, rx: half * 0.42, ry: height * 0.3 } : undefined,
    shine: look.feel === 'glassy' ? arc(half * 0.6, base - height * 0.35, height * 0.5) : undefined,
  }
}

function outline(look: FoamLook, half: number, base: number, top: (x: number) => number): string {
  const [from, to] = [WIDE / 2 - half, WIDE / 2 + half]
  const points: string[] = []
  for (let x = from; x <= to + 1e-6; x += (to - from) / 48) {
    const edge = Math.max(0, base - top(x) - 3) > 0 ? 1 : 0
    points.push(`${x.toFixed(1)} ${(top(x) - edge * roughness(look.skin ?? 'smooth', x)).toFixed(1)}`)
  }
  // Foam that peels curls up at one end.
  const end =
    look.adhesion === 'peels' ? `Q ${WIDE / 2 + half * 0.4} ${base + 4} ${from} ${base + 3}` : `L ${from} ${base}`
  return `M ${points.join(' L ')} ${end} Z`
}

function roughness(skin: NonNullable<Schemas['ShotSkin']>, x: number): number {
  if (skin === 'ripples') return 1.6 + 1.6 * Math.sin(x * 0.9)
  if (skin === 'coarse') return 3.6 * Math.abs(Math.sin(x * 0.55) * Math.cos(x * 0.23))
  return 0
}

function cells(look: FoamLook, half: number, base: number, top: (x: number) => number): Cell[] {
  const [rx, ry, apart] = SIZES[look.cells ?? 'fine']
  const found: Cell[] = []
  for (let row = 0, y = base - ry - 2; y > 4; y -= apart * 0.75, row++) {
    for (let x = WIDE / 2 - half + 4 + (row % 2) * (apart / 2); x < WIDE / 2 + half - 3; x += apart) {
      // Cells are not set out by a ruler: each is moved a little by its place.
      const moved = x + Math.sin(x * 12.9 + y * 78.2) * apart * 0.16
      if (y - ry > top(moved) + 2) found.push({ x: moved, y, rx, ry })
    }
  }
  return found
}

function layersOf(look: FoamLook, half: number, base: number, height: number): string[] {
  if (!look.layers) return []
  const y = base - height * 0.48
  const bend = look.layers === 'part' ? 3 : 0
  const line = (up: number) => `M ${WIDE / 2 - half * 0.84} ${y} Q ${WIDE / 2} ${y - up} ${WIDE / 2 + half * 0.84} ${y}`
  return look.layers === 'part' ? [line(bend), line(-bend)] : [line(0)]
}

function marksOf(look: FoamLook, half: number, base: number, height: number): string[] {
  const middle = WIDE / 2
  const top = base - height
  if (look.colour === 'streaked')
    return [-0.5, -0.15, 0.2, 0.5].map(
      (at) => `M ${middle + half * at} ${base - 3} q 5 ${-height * 0.3} 1 ${-height * 0.6}`,
    )
  if (look.feel === 'soft') return [`M ${middle - 13} ${top - 2} Q ${middle} ${top + 13} ${middle + 13} ${top - 2}`]
  if (look.feel === 'sticky') return [-6, 0, 6].map((at) => `M ${middle + at} ${top + 1} l 0 -6`)
  if (look.feel === 'brittle') return [-14, 4, 16].map((at) => `M ${middle + at} ${top + 3} l 3 6 l -3 5 l 4 6`)
  return []
}

const hole = (at: number, i: number, half: number, base: number, height: number): Cell => ({
  x: WIDE / 2 - half + 2 * half * at,
  y: base - height * (0.35 + 0.18 * (i % 2)),
  rx: 5,
  ry: 4.4,
})

const arc = (wide: number, y: number, up: number) =>
  `M ${WIDE / 2 - wide} ${y} Q ${WIDE / 2 - wide * 0.4} ${y - up} ${WIDE / 2 + wide * 0.2} ${y - up * 0.95}`
