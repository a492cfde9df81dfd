import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** What was typed and not yet taken by the server, by surface and field. Outlives a refresh and a sign-out. */
export function useDrafts(job: string) {
  const drafts = useLocalStorage<Record<string, string>>(`drafts.${job}`, {})
  const key = (surface: string, field: string) => `${surface}.${field}`

  return {
    count: computed(() => Object.keys(drafts.value).length),
    get: (surface: string, field: string): string | undefined => drafts.value[key(surface, field)],
    set(surface: string, field: string, text: string) {
      drafts.value = { ...drafts.value, [key(surface, field)]: text }
    },
    drop(surface: string, field: string) {
      const rest = { ...drafts.value }
      delete rest[key(surface, field)]
      drafts.value = rest
    },
    fieldsOf: (surface: string) =>
      Object.keys(drafts.value)
        .filter((name) => name.startsWith(`${surface}.`))
        .map((name) => name.slice(surface.length + 1)),
  }
}
