import { useLocalStorage } from '@vueuse/core'
import { computed, effectScope, ref, toValue, type MaybeRefOrGetter, type Ref } from 'vue'

/**
 * What was typed and not yet taken by the server. It outlives a refresh and a sign-out, and belongs to the person who
 * typed it: whoever signs in next on the same device sees none of it.
 */
type Texts = Record<string, string>

const PREFIX = 'draft:'
const owner = ref('')
const shelves = new Map<string, Ref<Texts>>()
const scope = effectScope(true)

const keyOf = (name: string) => `${PREFIX}${owner.value}:${name}`

function shelf(name: string): Ref<Texts> {
  const key = keyOf(name)
  let found = shelves.get(key)
  if (!found) {
    // Written at once: a page may be closed in the same breath as the last key is pressed.
    found = scope.run(() => useLocalStorage<Texts>(key, {}, { writeDefaults: false, flush: 'sync' }))!
    shelves.set(key, found)
  }
  return found
}

/** The drafts of one record, whose name may change under the page: each name has its own. */
export function useDrafts(name: MaybeRefOrGetter<string>) {
  const at = () => draftsOf(toValue(name))
  return {
    all: computed(() => at().all()),
    get: (field: string) => at().get(field),
    set: (field: string, text: string) => at().set(field, text),
    drop: (...fields: string[]) => at().drop(...fields),
    clear: () => at().clear(),
    /** The drafts as they are named now, for an edit that is sent later. */
    now: at,
  }
}

/** The drafts of one record by its name. */
export function draftsOf(name: string) {
  const texts = shelf(name)
  return {
    name,
    all: (): Readonly<Texts> => texts.value,
    get: (field: string): string | undefined => texts.value[field],
    // Changed in place: a cell follows its own draft alone, not every other one.
    set(field: string, text: string) {
      texts.value[field] = text
    },
    drop(...fields: string[]) {
      for (const field of fields) delete texts.value[field]
    },
    clear() {
      texts.value = {}
    },
  }
}

export type Drafts = ReturnType<typeof draftsOf>

/** Tells whose drafts are shown from now on; nobody's while nobody is signed in. */
export function draftsBelongTo(person: string) {
  owner.value = person
  if (person) sweep(person)
}

// Records that were left with nothing typed leave an empty entry behind.
function sweep(person: string) {
  for (const key of Object.keys(localStorage).filter((one) => one.startsWith(`${PREFIX}${person}:`))) {
    if (localStorage.getItem(key) === '{}' && !shelves.has(key)) localStorage.removeItem(key)
  }
}

/**
 * Drafts as the version before kept them, under no one's name. They become the drafts of the person whose sign-in was
 * still good when the page was opened; where somebody has to sign in first nobody can say whose they were.
 */
export function adoptOldDrafts(person: string | null) {
  for (const storage of [localStorage, sessionStorage]) {
    for (const key of Object.keys(storage)) {
      const name = newNameOf(key, storage)
      if (!name) continue
      const texts = textsIn(storage.getItem(key))
      storage.removeItem(key)
      if (person && Object.keys(texts).length) {
        localStorage.setItem(`${PREFIX}${person}:${name}`, JSON.stringify(texts))
      }
    }
  }
}

function newNameOf(key: string, storage: Storage) {
  if (storage === localStorage) return /^drafts\.(.+)$/.exec(key)?.[1]?.replace(/^/, 'grid.')
  return /^(?:draft|form)\.(.+)$/.exec(key)?.[1]
}

function textsIn(stored: string | null): Texts {
  try {
    const read: unknown = JSON.parse(stored ?? '{}')
    const entries = typeof read === 'object' && read !== null ? Object.entries(read) : []
    return Object.fromEntries(entries.filter((entry): entry is [string, string] => typeof entry[1] === 'string'))
  } catch {
    return {}
  }
}
