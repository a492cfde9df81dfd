import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { nowMs } from '../state/clock'
import { shelf } from './entries'

/** What was typed into a form that is sent as a whole, by the form's name, which may change under the page. */
export function useDrafts(name: MaybeRefOrGetter<string>, within?: MaybeRefOrGetter<string | undefined>) {
  const at = () => draftsOf(toValue(name), toValue(within))
  return {
    all: computed(() => at().all()),
    get: (field: string) => at().get(field),
    set: (field: string, text: string) => at().set(field, text),
    drop: (...fields: string[]) => at().drop(...fields),
    clear: () => at().clear(),
    /** The drafts as they are named now, for a form that is sent later. */
    now: at,
  }
}

/** The drafts of one form by its name, of the person who is signed in now. */
export function draftsOf(name: string, within?: string) {
  const on = shelf.value
  return {
    name,
    all: (): Readonly<Record<string, string>> =>
      Object.fromEntries(Object.entries(on.of(name)).map(([field, entry]) => [field, entry.text])),
    get: (field: string): string | undefined => on.get(name, field)?.text,
    set: (field: string, text: string) => on.put(name, field, { text, at: nowMs(), state: 'typed', within }),
    drop: (...fields: string[]) => on.drop(name, ...fields),
    clear: () => on.drop(name, ...Object.keys(on.of(name))),
  }
}
