import type { Schemas } from '@/shared/api/client'
import { layOut, type DrawnSlab } from '@/shared/drawing/widths'

type Laid = Schemas['LaidSection']
type Layer = Schemas['LaidLayer']
type Against = Schemas['SectionQuestion']['foamAgainst']

/** A layer where it is drawn. */
export type DrawnLayer = DrawnSlab & Layer

/** Where foam begins in the drawing, which way it grows, and how wide a millimetre of it is. */
export interface FoamScale {
  slabs: DrawnLayer[]
  origin: number
  direction: 1 | -1
  pxPerMm: number
}

// Thin layers stay visible: of the wall, and a coat or film that is put in.
const LEAST_BUILT = 5
const LEAST_PUT_IN = 2.5

/** The layer whose face is moved. */
export const movedIn = (laid: Laid) => laid.layers.find((layer) => layer.part === 'moved')

/** Thickness of what is put in with a thickness of its own, beside the moved layer. */
export const fixedMm = (laid: Laid) => sumOf(laid.layers.filter((layer) => layer.part === 'fill'))

/** Thickness of all that is put in. */
export const filledMm = (laid: Laid) =>
  sumOf(laid.layers.filter((layer) => layer.part !== 'built' && layer.part !== 'free'))

const sumOf = (layers: readonly Layer[]) => layers.reduce((sum, layer) => sum + layer.thicknessMm, 0)

/** The layers that stand outside of what is put in, what is put in or left free, and the layers on its room side. */
function parted(layers: readonly Layer[]) {
  const first = layers.findIndex((layer) => layer.part !== 'built')
  const last = layers.findLastIndex((layer) => layer.part !== 'built')
  return { outer: layers.slice(0, first), between: layers.slice(first, last + 1), inner: layers.slice(last + 1) }
}

/**
 * Lays a section out with room for the deepest foam, so that the scale does not jump while the face is dragged.
 * @param roomMm The room for what is put in: all of it, at the thickest.
 */
export function foamScale(laid: Laid, against: Against, roomMm: number, from: number, to: number): FoamScale {
  const { outer, between, inner } = parted(laid.layers)
  const room = { key: 'room', thicknessMm: roomMm, whole: true }
  const frame = layOut([...outer, room, ...inner], from, to, LEAST_BUILT)
  const framed = frame[outer.length]!
  const pxPerMm = framed.width / roomMm
  const direction = against === 'inboard' ? -1 : 1
  const origin = direction === 1 ? framed.x : framed.x + framed.width

  // What is put in and what stays free, to the scale of the frame; the layers beyond follow.
  const widths = [
    ...outer.map((_, i) => frame[i]!.width),
    ...between.map((layer) => widthOf(layer, pxPerMm)),
    ...inner.map((_, i) => frame[outer.length + 1 + i]!.width),
  ]
  const isBroken = (i: number) => (i < outer.length ? frame[i] : frame[i - between.length + 1])!.broken
  const slabs = laid.layers.map((layer, i) => ({
    ...layer,
    x: 0,
    width: widths[i]!,
    broken: layer.part === 'built' && isBroken(i),
  }))
  const pinned = direction === 1 ? outer.length : outer.length + between.length
  return { slabs: placed(slabs, pinned, origin), origin, direction, pxPerMm }
}

const widthOf = ({ part, thicknessMm }: Layer, pxPerMm: number) =>
  part !== 'moved' && part !== 'free' && thicknessMm < 2 ? LEAST_PUT_IN : thicknessMm * pxPerMm

/** Slabs side by side, the one at a place beginning at the origin, those before it ending there. */
function placed(slabs: readonly DrawnLayer[], at: number, origin: number): DrawnLayer[] {
  let x = origin - slabs.slice(0, at).reduce((sum, slab) => sum + slab.width, 0)
  return slabs.map((slab) => {
    const one = { ...slab, x }
    x += slab.width
    return one
  })
}

/**
 * Another system on the same substrate, to the scale of the first, so that the two can be held against each other:
 * layers both have are drawn alike.
 */
export function alongside(first: FoamScale, laid: Laid): DrawnLayer[] {
  const { outer, between } = parted(laid.layers)
  const slabs = laid.layers.map((layer) => {
    const same = first.slabs.find(
      (slab) => slab.key === layer.key && slab.thicknessMm === layer.thicknessMm && slab.part === layer.part,
    )
    const width = same?.width ?? Math.max(LEAST_PUT_IN, layer.thicknessMm * first.pxPerMm)
    return { ...layer, x: 0, width, broken: same?.broken ?? false }
  })
  return placed(slabs, first.direction === 1 ? outer.length : outer.length + between.length, first.origin)
}

/** Where heat and vapour pass: depth that stays free before a face which nothing covers belongs to the air there. */
export function linedThrough(drawn: readonly DrawnLayer[]) {
  const slabs = drawn.filter((slab, i) => slab.part !== 'free' || (i > 0 && i < drawn.length - 1))
  const last = slabs.at(-1)!
  return { slabs, left: slabs[0]!.x, right: last.x + last.width }
}

/** What a key moves the face by: a step, a large one, or all the way. */
export type Nudge = 'small' | 'large' | 'end'

/** The steps a hand moves the face by: a quarter inch or 5 mm, an inch or 25 mm with Shift. */
export const stepMm = (units: 'us' | 'metric', large: boolean) =>
  units === 'us' ? (large ? 25.4 : 6.35) : large ? 25 : 5

/** A thickness on the nearest step, within what can be rated. */
export function snap(mm: number, units: 'us' | 'metric', mostMm: number): number {
  const step = stepMm(units, false)
  return Math.min(mostMm, Math.max(step, Math.round(mm / step) * step))
}
