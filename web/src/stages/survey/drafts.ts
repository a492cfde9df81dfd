import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What was typed and not yet taken by the server, by surface and field. Outlives a refresh and a sign-out. */
export function useDrafts(job: string) {
  const drafts = useLocalStorage<Record<string, string>>(`drafts.${job}`, {})
  const key = (surface: string, field: string) => `${surface}.${field}`

  return {
    count: computed(() => Object.keys(drafts.value).length),
    get: (surface: string, field: string): string | undefined => drafts.value[key(surface, field)],
    // Changed in place: a cell follows its own draft alone, not every other one.
    set(surface: string, field: string, text: string) {
      drafts.value[key(surface, field)] = text
    },
    drop(surface: string, field: string) {
      delete drafts.value[key(surface, field)]
    },
    fieldsOf: (surface: string) =>
      Object.keys(drafts.value)
        .filter((name) => name.startsWith(`${surface}.`))
        .map((name) => name.slice(surface.length + 1)),
  }
}
