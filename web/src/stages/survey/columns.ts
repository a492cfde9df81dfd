import type { Surface } from '@/shared/state/job'
import type { Units } from '@/shared/state/reader'

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
