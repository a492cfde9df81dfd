import { computed, reactive, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { ApiProblem } from '../api/client'
import { useProblems } from '../figures/problems'
import { draftsOf, useDrafts, type Drafts } from '../keeping/drafts'
import { doubts } from './doubts'

type Fields = Record<string, string>
export type Send = (fields: Fields) => Promise<unknown>

/**
 * Fields of one record that are typed and kept one by one: what is typed outlives a refresh until it is kept, and a fault
 * stays at its field with what was typed. Where the page goes on to another record, each has its own.
 * @param name The record, as its drafts are named.
 * @param caught Catches the record in hand when an edit is made, and says how its fields are sent later.
 */
export function useTyped(name: MaybeRefOrGetter<string>, caught: () => Send) {
  const drafts = useDrafts(name)
  const faultsByName = reactive<Record<string, Fields>>({})
  const noticeByName = reactive<Fields>({})
  const busy = ref(0)
  const { byField, general } = useProblems()

  const faults = computed(() => faultsByName[toValue(name)] ?? {})
  const notice = computed(() => noticeByName[toValue(name)] ?? '')
  const text = (field: string, kept: string) => drafts.get(field) ?? kept
  const type = (field: string, typed: string) => drafts.set(field, typed)
  const forget = (field: string) => {
    forgetAt(toValue(name), drafts.now(), field)
    // Of a refusal nothing is left to put right; a doubt about what was taken stays.
    if (doubtOf(field)?.code === 'instead') right(field)
  }
  const doubtOf = (field: string) => doubts.of(toValue(name))[field]
  const right = (field: string) => doubts.drop(toValue(name), field)

  function forgetAt(at: string, record: Drafts, field: string) {
    record.drop(field)
    if (faultsByName[at]) delete faultsByName[at][field]
  }

  async function commit(field: string, kept: string) {
    const typed = drafts.get(field)
    if (typed === undefined) return
    if (typed.trim() === kept.trim()) return forget(field)
    await put({ [field]: typed })
  }

  /** The record in hand, for an edit that begins now and is kept later. */
  function here() {
    const [at, send] = [toValue(name), caught()]
    return { put: (fields: Fields) => putAt(at, send, fields) }
  }

  /** Keeps several fields together; their drafts go with them. Says whether they were taken. */
  const put = (fields: Fields) => here().put(fields)

  async function putAt(at: string, send: Send, fields: Fields) {
    const record = draftsOf(at)
    // On its way it is a draft too: a page closed meanwhile finds it again.
    Object.entries(fields).forEach(([field, typed]) => record.set(field, typed))
    busy.value++
    try {
      doubts.answered(at, Object.keys(fields), await send(fields))
      for (const [field, sent] of Object.entries(fields)) {
        // Typed on while this was sent: the newer text is still to be kept.
        if (record.get(field) === sent) forgetAt(at, record, field)
      }
      noticeByName[at] = ''
      return true
    } catch (cause) {
      refuse(at, fields, cause)
      return false
    } finally {
      busy.value--
    }
  }

  function refuse(at: string, fields: Fields, cause: unknown) {
    doubts.refused(at, Object.keys(fields), cause)
    if (!(cause instanceof ApiProblem && cause.faults.length)) {
      noticeByName[at] = general(cause)
      return
    }
    const sentences = byField(cause)
    if (Object.keys(sentences).some((field) => field in fields)) {
      faultsByName[at] = { ...faultsByName[at], ...sentences }
    } else noticeByName[at] = Object.values(sentences)[0] ?? ''
  }

  return { drafts: drafts.all, faults, notice, busy, text, type, forget, commit, put, here, doubtOf, right }
}

export type Typed = ReturnType<typeof useTyped>
