import type { Schemas } from '@/shared/api/client'
import { layOut, type DrawnSlab, type Slab } from '@/shared/drawing/widths'

type Question = Schemas['SectionQuestion']

/** The slabs of a section, outermost first, with foam of a thickness. */
export function slabsOf(question: Question, cell: string, thicknessMm: number): Slab[] {
  const { members, baffle, ventChannelMm } = question
  const outboard: Slab[] = [
    ...question.outboard.map((l) => ({ key: l.material, thicknessMm: l.thicknessMm })),
    ...(ventChannelMm > 0 ? [{ key: 'ventChannel', thicknessMm: ventChannelMm }] : []),
    ...(baffle ? [{ key: baffle.material, thicknessMm: baffle.thicknessMm }] : []),
  ]
  const depth = foamDepthOf(question)
  const then = thenOf(question, thicknessMm)
  const taken = thicknessMm + then.reduce((sum, layer) => sum + layer.thicknessMm, 0)
  const free = members.depthMm > 0 ? Math.max(0, depth - taken) : 0
  const middle: Slab[] = [{ key: cell, thicknessMm }, ...then, { key: 'freeSpace', thicknessMm: free }]
  if (question.foamAgainst === 'inboard') middle.reverse()
  const inboard = question.inboard.map((l) => ({ key: l.material, thicknessMm: l.thicknessMm }))
  return [...outboard, ...middle.filter((s) => s.thicknessMm > 0), ...inboard]
}

/** Layers put in after the moved one; what takes the rest gives way to it, as in the core. */
export function thenOf(question: Question, thicknessMm: number): Slab[] {
  const then = (question.then ?? []).slice(question.sheetId ? 0 : 1)
  const fixed = then.reduce((sum, layer) => sum + (layer.takesRest ? 0 : layer.thicknessMm), 0)
  const rest = Math.max(0, foamDepthOf(question) - thicknessMm - fixed)
  return then
    .map((layer) => ({ key: keyOfLayer(layer), thicknessMm: layer.takesRest ? rest : layer.thicknessMm }))
    .filter((layer) => layer.thicknessMm > 0)
}

/** Key of a layer put in: what texture and name it has. A second foam is open cell over closed. */
export const keyOfLayer = (layer: Schemas['FillShape']) =>
  layer.kind === 'foam' ? 'open' : layer.kind === 'batt' ? 'fibre-batt' : layer.id

/** Depth between substrate or baffle and the far face of the members; 0 where nothing bounds the foam. */
export function foamDepthOf(question: Question): number {
  const { members, baffle, ventChannelMm } = question
  return members.depthMm > 0 ? Math.max(0, members.depthMm - ventChannelMm - (baffle?.thicknessMm ?? 0)) : 0
}

/** Where foam begins in the drawing, which way it grows, and how wide a millimetre of it is. */
export interface FoamScale {
  slabs: DrawnSlab[]
  origin: number
  direction: 1 | -1
  pxPerMm: number
}

/** Lays the section out with room for the deepest foam, so that the scale does not jump while the face is dragged. */
export function foamScale(
  question: Question,
  cell: string,
  thicknessMm: number,
  mostMm: number,
  from: number,
  to: number,
): FoamScale {
  const least = 5
  // The frame is laid out once for the deepest foam; the drawn foam then takes its part of that room.
  const frame = layOut(slabsOf(question, cell, mostMm), from, to, least)
  const framed = frame.find((s) => s.key === cell)!
  const pxPerMm = framed.width / mostMm
  const against = question.foamAgainst === 'inboard' ? -1 : 1
  const origin = against === 1 ? framed.x : framed.x + framed.width

  // Foam, what follows it and what stays free, to the scale of the frame, from the substrate on.
  const depth = foamDepthOf(question)
  const then = thenOf(question, thicknessMm)
  const taken = thicknessMm + then.reduce((sum, layer) => sum + layer.thicknessMm, 0)
  const free = { key: 'freeSpace', thicknessMm: Math.max(0, depth - taken) }
  let x = origin
  const middle: DrawnSlab[] = [{ key: cell, thicknessMm }, ...then, free].map((layer) => {
    const width =
      layer.thicknessMm < 2 && layer.key !== cell && layer.key !== 'freeSpace' ? 2.5 : layer.thicknessMm * pxPerMm
    const slab = { ...layer, broken: false, width, x: against === 1 ? x : x - width }
    x += against * width
    return slab
  })
  const shown = middle.filter((s) => s.width > 0.01)
  if (against === -1) shown.reverse()
  const inFill = new Set(['freeSpace', cell, ...then.map((layer) => layer.key)])
  const at = frame.findIndex((s) => s.key === cell || inFill.has(s.key))
  const others = (slabs: DrawnSlab[]) => slabs.filter((s) => !inFill.has(s.key))
  const slabs = [...others(frame.slice(0, at)), ...shown, ...others(frame.slice(at))]
  return { slabs: closeUp(slabs, question.foamAgainst), origin, direction: against, pxPerMm }
}

/**
 * Another system on the same substrate, to the scale of the first, so that the two can be held against each other:
 * layers both have are drawn alike.
 */
export function alongside(first: FoamScale, question: Question, cell: string, thicknessMm: number): DrawnSlab[] {
  const slabs = slabsOf(question, cell, thicknessMm)
  const filled = slabs.findIndex((s) => s.key === cell)
  const split = first.direction === 1 ? filled : filled + 1
  const widthOf = (slab: Slab) => {
    const same = first.slabs.find((s) => s.key === slab.key && s.thicknessMm === slab.thicknessMm)
    return same ?? { width: Math.max(2.5, slab.thicknessMm * first.pxPerMm), broken: false }
  }
  const drawn = slabs.map((slab) => ({ ...slab, x: 0, width: widthOf(slab).width, broken: widthOf(slab).broken }))
  let x = first.origin
  for (const slab of drawn.slice(split)) {
    slab.x = x
    x += slab.width
  }
  x = first.origin
  for (const slab of drawn.slice(0, split).reverse()) {
    x -= slab.width
    slab.x = x
  }
  return drawn
}

// Where nothing bounds the foam, the layers beyond its face follow the face.
function closeUp(slabs: DrawnSlab[], against: Question['foamAgainst']): DrawnSlab[] {
  const placed = slabs.map((s) => ({ ...s }))
  if (against === 'outboard') {
    for (let i = 1; i < placed.length; i++) placed[i]!.x = placed[i - 1]!.x + placed[i - 1]!.width
  } else {
    for (let i = placed.length - 2; i >= 0; i--) placed[i]!.x = placed[i + 1]!.x - placed[i]!.width
  }
  return placed
}

/** The steps a hand moves the face by: a quarter inch or 5 mm, an inch or 25 mm with Shift. */
export const stepMm = (units: 'us' | 'metric', large: boolean) =>
  units === 'us' ? (large ? 25.4 : 6.35) : large ? 25 : 5

/** A thickness on the nearest step, within what can be rated. */
export function snap(mm: number, units: 'us' | 'metric', mostMm: number): number {
  const step = stepMm(units, false)
  return Math.min(mostMm, Math.max(step, Math.round(mm / step) * step))
}
