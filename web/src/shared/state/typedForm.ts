import { useSessionStorage } from '@vueuse/core'
import { ref } from 'vue'
import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'

/**
 * A form that is sent as a whole: what is typed outlives a refresh until it was taken,
 * and a refusal stands at its fields with everything still there.
 */
export function useTypedForm(
  name: string,
  blank: Record<string, string>,
  send: (fields: Record<string, string>) => Promise<unknown>,
) {
  const values = useSessionStorage<Record<string, string>>(`form.${name}`, { ...blank })
  const faults = ref<Record<string, string>>({})
  const notice = ref('')
  const busy = ref(false)
  const { byField, general } = useProblems()

  function clear(kept: Record<string, string> = {}) {
    values.value = { ...blank, ...kept }
    faults.value = {}
    notice.value = ''
  }

  /** Sends what was typed; blank fields go along too where they are asked for by name. */
  async function submit(always: readonly string[] = []) {
    busy.value = true
    try {
      const typed = Object.entries(values.value).filter(([field, text]) => text.trim() || always.includes(field))
      const asked = always.filter((field) => !(field in values.value)).map((field) => [field, ''] as const)
      await send(Object.fromEntries([...typed, ...asked]))
      return true
    } catch (cause) {
      faults.value = cause instanceof ApiProblem && cause.faults.length ? byField(cause) : {}
      notice.value = Object.keys(faults.value).length ? '' : general(cause)
      return false
    } finally {
      busy.value = false
    }
  }

  return { values, faults, notice, busy, clear, submit }
}
