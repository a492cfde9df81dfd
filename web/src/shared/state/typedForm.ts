import { computed, reactive, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'
import { useDrafts } from '../keeping/drafts'
import { forget, put, type, type Outcome } from '../keeping/editor'
import { shelf } from '../keeping/entries'
import { nameOf, type Place } from '../keeping/kinds'
import { doubts } from './doubts'
import { useReader } from './reader'
import { useTyped } from './typed'

type Texts = Record<string, string>

/** The fields of a form: what was typed, else what stands there. */
const valuesOf = (get: (field: string) => string | undefined, set: (field: string, text: string) => void): Texts =>
  new Proxy(reactive({} as Texts), {
    get: (_, field: string) => get(field),
    set: (_, field: string, text: string) => {
      set(field, text)
      return true
    },
  })

/** What is filled in; blank fields too where they are asked for by name. */
function filled(blank: Texts, typed: Readonly<Texts>, always: readonly string[]): Texts {
  const all = { ...Object.fromEntries(always.map((field) => [field, ''])), ...blank, ...typed }
  return Object.fromEntries(Object.entries(all).filter(([field, text]) => text.trim() || always.includes(field)))
}

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
  within?: MaybeRefOrGetter<string | undefined>,
) {
  const drafts = useDrafts(name, within)
  const faults = ref<Texts>({})
  const notice = ref('')
  const busy = ref(false)
  const { byField, general } = useProblems()
  const values = valuesOf((field) => drafts.get(field) ?? toValue(blank)[field], drafts.set)

  function clear() {
    drafts.clear()
    faults.value = {}
    notice.value = ''
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
    submit: (always: readonly string[] = []) => sent(filled(toValue(blank), drafts.all.value, always)),
    doubtOf: (field: string) => doubts.of(toValue(name))[field],
    right: (field: string) => doubts.drop(toValue(name), field),
    /** Sends one field as it may have been meant. */
    submitOther: (field: string, text: string) => sent({ [field]: text }),
  }
}

/**
 * A form for something that is entered on site: what is sent without a connection waits and goes by itself, with the time
 * it was entered at; what is refused comes back into the form.
 * @param place Where it goes, with an id of its own for each.
 */
export function useCommandForm(name: MaybeRefOrGetter<string>, blank: Texts, place: () => Place) {
  const reader = useReader()
  const { sentence, ofRefused } = useProblems()
  const drafts = useDrafts(name, () => place().within)
  const faults = ref<Texts>({})
  const notice = ref('')
  const busy = ref(false)

  async function sent(fields: Texts): Promise<Outcome> {
    const [at, form] = [place(), drafts.now()]
    const typed = { ...form.all() }
    // It goes out under its own name: the form is free for the next at once, and comes back should this be refused.
    form.drop(...Object.keys(typed))
    busy.value = true
    faults.value = {}
    notice.value = ''
    const outcome = await put(at, fields, { units: reader.units, together: true })
    busy.value = false
    doubts.move(nameOf(at), form.name)
    if (outcome === 'refused') back(at, form, typed)
    return outcome
  }

  function back(at: Place, form: ReturnType<typeof drafts.now>, typed: Texts) {
    const entries = Object.entries(shelf.value.of(nameOf(at)))
    faults.value = Object.fromEntries(
      entries.flatMap(([field, { fault }]) => (fault ? [[field, sentence(fault)]] : [])),
    )
    notice.value = ofRefused({ refusal: entries.find(([, entry]) => entry.refusal)?.[1].refusal })
    forget(at, ...entries.map(([field]) => field))
    for (const [field, text] of Object.entries(typed)) if (form.get(field) === undefined) form.set(field, text)
  }

  return {
    values: valuesOf((field) => drafts.get(field) ?? blank[field], drafts.set),
    typed: drafts.all,
    faults,
    notice,
    busy,
    doubtOf: (field: string) => doubts.of(toValue(name))[field],
    right: (field: string) => doubts.drop(toValue(name), field),
    /** Sends what is filled in, blanks where they are asked for by name, and what is said beside the form. */
    submit: (always: readonly string[] = [], beside: Texts = {}) =>
      sent({ ...filled(blank, drafts.all.value, always), ...beside }),
    submitOther: (field: string, text: string) => sent({ [field]: text }),
    /** Sends these fields and no others: of a form that asks one thing or another. */
    submitOnly: (fields: Texts) => sent(fields),
  }
}

/**
 * A form over fields of a record that stands: what differs is kept together, by the way every edit of the record goes.
 * @param fields The fields that are in the form.
 */
export function useRecordForm(place: Place, fields: readonly string[], blank: MaybeRefOrGetter<Texts>) {
  const reader = useReader()
  const typed = useTyped(place)
  const inForm = computed<Texts>(() =>
    Object.fromEntries(Object.entries(typed.drafts.value).filter(([field]) => fields.includes(field))),
  )
  const values = valuesOf(
    (field) => inForm.value[field] ?? toValue(blank)[field],
    (field, text) => type(place, field, text, reader.units),
  )
  // Only what was changed: a rounded print of an untouched figure must not overwrite the figure.
  const changed = (): Texts =>
    Object.fromEntries(Object.entries(inForm.value).filter(([field, text]) => text !== toValue(blank)[field]))
  const busy = ref(false)

  async function send(texts: Texts): Promise<Outcome> {
    forget(place, ...Object.keys(inForm.value).filter((field) => !(field in texts)))
    if (!Object.keys(texts).length) return 'taken'
    busy.value = true
    try {
      return await put(place, texts, { units: reader.units, together: true })
    } finally {
      busy.value = false
    }
  }

  return {
    values,
    typed: inForm,
    faults: typed.faults,
    notice: typed.notice,
    busy,
    meetings: computed(() => typed.meetings.value.filter((one) => fields.includes(one.field))),
    decide: typed.decide,
    clear: () => forget(place, ...fields),
    doubtOf: (field: string) => doubts.of(nameOf(place))[field],
    right: (field: string) => doubts.drop(nameOf(place), field),
    submitChanged: () => send(changed()),
    submitOther: (field: string, text: string) => send({ ...changed(), [field]: text }),
  }
}
