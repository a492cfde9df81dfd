import type { Surface } from '@/shared/state/job'
import type { Units } from '@/shared/state/reader'
import type { Room } from '@/shared/ui/tracks'

export type Field =
  'name' | 'kind' | 'shape' | 'size' | 'openings' | 'repeats' | 'memberDepth' | 'memberSpacing' | 'openLeak'

export const fields: readonly Field[] = [
  'name',
  'kind',
  'shape',
  'size',
  'openings',
  'repeats',
  'memberDepth',
  'memberSpacing',
  'openLeak',
]

/** The room of the column that comes before the fields, of theirs, and of that which comes after. */
export const AREA_ROOM: Room = [62, 108]
export const ROOM: Record<Field, Room> = {
  name: [102, 180],
  kind: [96, 168],
  shape: [51, 90],
  size: [92, 162],
  openings: [86, 152],
  repeats: [40, 64],
  memberDepth: [44, 78],
  memberSpacing: [44, 78],
  openLeak: [68, 122],
}
export const REMOVE_ROOM: Room = [28, 46]

/** A cell as the person would type it. */
export function textOf(surface: Surface, field: Field, units: Units): string {
  switch (field) {
    case 'name':
      return surface.name
    case 'kind':
      return surface.kind
    case 'shape':
      return surface.shape
    case 'size':
      return surface.size?.[units] ?? ''
    case 'openings':
      return surface.openings?.[units] ?? ''
    case 'repeats':
      return String(surface.repeats)
    case 'memberDepth':
      return surface.memberDepth?.[units] ?? ''
    case 'memberSpacing':
      return surface.memberSpacing?.[units] ?? ''
    case 'openLeak':
      return surface.openLeak ?? ''
  }
}
