import { reactive, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'
import { useDrafts } from '../keeping/drafts'
import { doubts } from './doubts'

type Texts = Record<string, string>

/**
 * A form that is sent as a whole: what is typed outlives a refresh until it was taken or cancelled, and a refusal is told
 * at its fields with everything still in them.
 * @param name The form, as its drafts are named.
 * @param blank What stands in it before anything is typed.
 */
export function useTypedForm(
  name: MaybeRefOrGetter<string>,
  blank: MaybeRefOrGetter<Texts>,
  send: (fields: Texts) => Promise<unknown>,
) {
  const drafts = useDrafts(name)
  const faults = ref<Texts>({})
  const notice = ref('')
  const busy = ref(false)
  const { byField, general } = useProblems()

  const values: Texts = new Proxy(reactive({} as Texts), {
    get: (_, field: string) => drafts.get(field) ?? toValue(blank)[field],
    set: (_, field: string, text: string) => {
      drafts.set(field, text)
      return true
    },
  })

  // Only what was changed: a rounded print of an untouched figure must not overwrite the figure.
  const changed = (): Texts =>
    Object.fromEntries(Object.entries(drafts.all.value).filter(([field, text]) => text !== toValue(blank)[field]))

  function clear() {
    drafts.clear()
    faults.value = {}
    notice.value = ''
  }

  function filled(always: readonly string[]): Texts {
    const all = { ...Object.fromEntries(always.map((field) => [field, ''])), ...toValue(blank), ...drafts.all.value }
    return Object.fromEntries(Object.entries(all).filter(([field, text]) => text.trim() || always.includes(field)))
  }

  async function sent(fields: Texts) {
    const record = drafts.now()
    const typed = { ...record.all() }
    busy.value = true
    try {
      doubts.answered(record.name, Object.keys(fields), await send(fields))
      // Typed on while this was sent: the newer text stays.
      record.drop(...Object.keys(typed).filter((field) => record.get(field) === typed[field]))
      faults.value = {}
      notice.value = ''
      return true
    } catch (cause) {
      doubts.refused(record.name, Object.keys(fields), cause)
      faults.value = cause instanceof ApiProblem && cause.faults.length ? byField(cause) : {}
      notice.value = Object.keys(faults.value).length ? '' : general(cause)
      return false
    } finally {
      busy.value = false
    }
  }

  return {
    values,
    /** What was typed, without what stood there before. */
    typed: drafts.all,
    faults,
    notice,
    busy,
    clear,
    /** Sends what is filled in; blank fields go along too where they are asked for by name. */
    submit: (always: readonly string[] = []) => sent(filled(always)),
    doubtOf: (field: string) => doubts.of(toValue(name))[field],
    right: (field: string) => doubts.drop(toValue(name), field),
    /** Sends one field as it may have been meant. */
    submitOther: (field: string, text: string) => sent({ [field]: text }),
    /** Sends what differs from what stood there, blanks too. */
    submitChanged: () => sent(changed()),
  }
}
