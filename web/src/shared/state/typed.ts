import { useSessionStorage } from '@vueuse/core'
import { ref } from 'vue'
import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'

/**
 * Fields of one record that are typed and kept one by one: what is typed outlives a refresh until it is kept,
 * a fault stays at its field with what was typed, and quick commits go one after the other.
 */
export function useTyped(name: string, save: (fields: Record<string, string>) => Promise<unknown>) {
  const drafts = useSessionStorage<Record<string, string>>(`draft.${name}`, {})
  const faults = ref<Record<string, string>>({})
  const notice = ref('')
  const busy = ref(0)
  const { byField, general } = useProblems()
  let queue: Promise<unknown> = Promise.resolve()

  const text = (field: string, kept: string) => drafts.value[field] ?? kept

  function type(field: string, typed: string) {
    drafts.value = { ...drafts.value, [field]: typed }
  }

  function forget(field: string) {
    drafts.value = Object.fromEntries(Object.entries(drafts.value).filter(([one]) => one !== field))
    faults.value = { ...faults.value, [field]: '' }
  }

  function commit(field: string, kept: string) {
    const typed = drafts.value[field]
    if (typed === undefined) return queue
    if (typed.trim() === kept.trim()) return forget(field)
    return put({ [field]: typed })
  }

  /** Keeps several fields together; their drafts go with them. */
  function put(fields: Record<string, string>) {
    queue = queue.then(() => keep(fields))
    return queue
  }

  async function keep(fields: Record<string, string>) {
    busy.value++
    try {
      await save(fields)
      Object.keys(fields).forEach(forget)
      notice.value = ''
    } catch (cause) {
      refuse(fields, cause)
    } finally {
      busy.value--
    }
  }

  function refuse(fields: Record<string, string>, cause: unknown) {
    drafts.value = { ...drafts.value, ...fields }
    if (cause instanceof ApiProblem && cause.faults.length) {
      const sentences = byField(cause)
      const own = Object.keys(sentences).filter((field) => field in fields)
      if (own.length) faults.value = { ...faults.value, ...sentences }
      else notice.value = Object.values(sentences)[0] ?? ''
    } else notice.value = general(cause)
  }

  return { drafts, faults, notice, busy, text, type, forget, commit, put }
}

export type Typed = ReturnType<typeof useTyped>
