import { computed } from 'vue'
import { useDrafts } from '@/shared/keeping/drafts'

/** What was typed in the grid and not yet taken by the server, by surface and field. */
export function useGridDrafts(job: string) {
  const drafts = useDrafts(`grid.${job}`)
  const key = (surface: string, field: string) => `${surface}.${field}`
  const surfaceIn = (name: string) => name.slice(0, name.lastIndexOf('.'))

  return {
    count: computed(() => Object.keys(drafts.all.value).length),
    get: (surface: string, field: string) => drafts.get(key(surface, field)),
    set: (surface: string, field: string, text: string) => drafts.set(key(surface, field), text),
    drop: (surface: string, field: string) => drafts.drop(key(surface, field)),
    fieldsOf: (surface: string) =>
      Object.keys(drafts.all.value)
        .filter((name) => surfaceIn(name) === surface)
        .map((name) => name.slice(surface.length + 1)),
    /** The surfaces that have something typed. */
    surfaces: computed(() => [...new Set(Object.keys(drafts.all.value).map(surfaceIn))]),
  }
}

export type GridDrafts = ReturnType<typeof useGridDrafts>
