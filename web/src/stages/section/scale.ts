import type { Schemas } from '@/shared/api/client'
import { layOut, type DrawnSlab, type Slab } from '@/shared/drawing/widths'

type Question = Schemas['SectionQuestion']

/** The slabs of a section, outermost first, with foam of a thickness. */
export function slabsOf(question: Question, cell: 'open' | 'closed', thicknessMm: number): Slab[] {
  const { members, baffle, ventChannelMm } = question
  const outboard: Slab[] = [
    ...question.outboard.map((l) => ({ key: l.material, thicknessMm: l.thicknessMm })),
    ...(ventChannelMm > 0 ? [{ key: 'ventChannel', thicknessMm: ventChannelMm }] : []),
    ...(baffle ? [{ key: baffle.material, thicknessMm: baffle.thicknessMm }] : []),
  ]
  const depth = foamDepthOf(question)
  const free = members.depthMm > 0 ? Math.max(0, depth - thicknessMm) : 0
  const middle: Slab[] = [
    { key: cell, thicknessMm },
    { key: 'freeSpace', thicknessMm: free },
  ]
  if (question.foamAgainst === 'inboard') middle.reverse()
  const inboard = question.inboard.map((l) => ({ key: l.material, thicknessMm: l.thicknessMm }))
  return [...outboard, ...middle.filter((s) => s.thicknessMm > 0), ...inboard]
}

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
  cell: 'open' | 'closed',
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
  const foamWidth = thicknessMm * pxPerMm
  const depth = foamDepthOf(question)
  const freeWidth = Math.max(0, depth - thicknessMm) * pxPerMm
  const slabs: DrawnSlab[] = []
  for (const slab of frame) {
    if (slab.key === 'freeSpace') continue
    if (slab.key !== cell) {
      slabs.push(slab)
      continue
    }
    const foam = { ...slab, thicknessMm, x: against === 1 ? origin : origin - foamWidth, width: foamWidth }
    const gap = {
      key: 'freeSpace',
      thicknessMm: Math.max(0, depth - thicknessMm),
      broken: false,
      width: freeWidth,
      x: 0,
    }
    gap.x = against === 1 ? origin + foamWidth : origin - foamWidth - freeWidth
    slabs.push(...(against === 1 ? [foam, gap] : [gap, foam]).filter((s) => s.width > 0.01))
  }
  return { slabs: closeUp(slabs, question.foamAgainst), origin, direction: against, pxPerMm }
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
