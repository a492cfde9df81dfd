import type { Schemas } from '@/shared/api/client'

type Layer = Schemas['LaidLayer']

/** A wall of 140 mm members laid out, for tests: foam of a thickness, perhaps 25 mm of something over it, layers of 12 mm. */
export function laidWall(wall: {
  foam: number
  fill?: string
  outer?: string[]
  inner?: string[]
  against?: 'outboard' | 'inboard'
}): Schemas['LaidSection'] {
  const built = (side: string, keys: string[]): Layer[] =>
    keys.map((key, i) => ({ id: `${side}.${i}`, key, thicknessMm: 12, part: 'built' }))
  const between: Layer[] = [
    { id: 'fill.0', key: 'closed', thicknessMm: wall.foam, part: 'moved' },
    ...(wall.fill ? [{ id: 'fill.1', key: wall.fill, thicknessMm: 25, part: 'fill' } as const] : []),
    { id: 'free', key: 'freeSpace', thicknessMm: 140 - wall.foam - (wall.fill ? 25 : 0), part: 'free' },
  ]
  const drawn = between.filter((layer) => layer.thicknessMm > 0)
  const layers = [
    ...built('outboard', wall.outer ?? ['osb']),
    ...(wall.against === 'inboard' ? drawn.reverse() : drawn),
    ...built('inboard', wall.inner ?? ['gypsum-board']),
  ]
  return { layers, foamDepthMm: 140, thickestMm: 150 }
}
