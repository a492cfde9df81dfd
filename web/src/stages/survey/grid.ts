import { computed, nextTick, ref } from 'vue'
import { ApiProblem } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { useSurfaceEdits, useSurfaces, type Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { fields, textOf, type Field } from './columns'
import { useDrafts } from './drafts'
import { useUndo } from './undo'

export interface Conflict {
  surface: string
  field: Field
  mine: string
  theirs: string
}

/** The survey grid: cells commit one by one, faults stay at their cell with what was typed, every step can be undone. */
export function useSurveyGrid(job: string) {
  const reader = useReader()
  const surfaces = useSurfaces(job)
  const edits = useSurfaceEdits(job)
  const drafts = useDrafts(job)
  const undo = useUndo()
  const { byField, general } = useProblems()
  const faults = ref<Record<string, string>>({})
  const conflicts = ref<Conflict[]>([])
  const notice = ref('')
  const saving = ref(0)

  const rows = computed(() => surfaces.data.value ?? [])
  const current = (id: string) => rows.value.find((row) => row.id === id)
  const at = (id: string, field: string) => `${id}.${field}`
  const faultOf = (id: string, field: string) => faults.value[at(id, field)] ?? ''
  const valueOf = (row: Surface, field: Field) => drafts.get(row.id, field) ?? textOf(row, field, reader.units)

  function type(row: Surface, field: Field, text: string) {
    drafts.set(row.id, field, text)
  }

  function setFault(id: string, field: string, sentence: string | null) {
    if (sentence) faults.value[at(id, field)] = sentence
    else delete faults.value[at(id, field)]
  }

  function forget(id: string, field: Field) {
    drafts.drop(id, field)
    setFault(id, field, null)
    conflicts.value = conflicts.value.filter((c) => c.surface !== id || c.field !== field)
  }

  async function write(id: string, field: Field, text: string) {
    const row = current(id)
    if (!row) return
    saving.value++
    try {
      await edits.change(row, { [field]: text })
      forget(id, field)
      notice.value = ''
    } finally {
      saving.value--
    }
  }

  // One cell after another: the second of two quick commits must carry the version the first one made.
  let queue: Promise<unknown> = Promise.resolve()

  function commit(row: Surface, field: Field) {
    queue = queue.then(() => commitNow(row.id, field))
    return queue
  }

  async function commitNow(id: string, field: Field) {
    const row = current(id)
    const text = drafts.get(id, field)
    if (!row || text === undefined) return
    const before = textOf(row, field, reader.units)
    if (text.trim() === before.trim()) return forget(id, field)
    try {
      await write(id, field, text)
      remember(id, field, before, text)
    } catch (cause) {
      refuse(id, field, text, cause)
    }
  }

  function remember(id: string, field: Field, before: string, after: string) {
    const put = (text: string) => async () => {
      drafts.set(id, field, text)
      try {
        await write(id, field, text)
      } catch (cause) {
        refuse(id, field, text, cause)
      }
    }
    undo.did({ undo: put(before), redo: put(after) })
  }

  function refuse(id: string, field: Field, text: string, cause: unknown) {
    if (cause instanceof ApiProblem && cause.status === 409 && cause.theirs) {
      const theirs = edits.put(cause.theirs as Surface)
      const said = textOf(theirs, field, reader.units)
      conflicts.value = [
        ...conflicts.value.filter((c) => c.surface !== id || c.field !== field),
        { surface: id, field, mine: text, theirs: said },
      ]
      return
    }
    const sentences = byField(cause)
    const own = sentences[field] ?? Object.values(sentences)[0]
    if (cause instanceof ApiProblem && cause.faults.length) setFault(id, field, own ?? general(cause))
    else notice.value = general(cause)
  }

  async function add(fieldsTyped: Record<string, string>) {
    saving.value++
    try {
      const added = await edits.add(fieldsTyped)
      undo.did({ undo: () => edits.remove(added), redo: () => edits.restore(added) })
      notice.value = ''
      await nextTick()
      return added
    } finally {
      saving.value--
    }
  }

  async function remove(row: Surface) {
    try {
      await edits.remove(row)
      undo.did({ undo: () => edits.restore(row), redo: () => edits.remove(row) })
    } catch (cause) {
      notice.value = general(cause)
    }
  }

  /** Cells pasted from a spreadsheet go right and down from where they were pasted; rows past the last are added. */
  async function paste(row: Surface | null, field: Field, text: string) {
    const lines = text.replace(/\r/g, '').replace(/\n$/, '').split('\n')
    const start = row ? rows.value.findIndex((one) => one.id === row.id) : rows.value.length
    for (const [i, line] of lines.entries()) {
      const cells = line.split('\t')
      const typed = Object.fromEntries(cells.map((cell, c) => [fields[fields.indexOf(field) + c], cell.trim()]))
      delete typed.undefined
      const target = rows.value[start + i]
      if (target) await pasteInto(target, typed)
      else if (typed.name) await pasteNew(typed)
    }
  }

  async function pasteInto(target: Surface, typed: Record<string, string>) {
    for (const [field, text] of Object.entries(typed) as [Field, string][]) {
      drafts.set(target.id, field, text)
      await commit(target, field)
    }
  }

  // A row with a slip in it is still a row: its name is taken, and each slip waits at its cell.
  async function pasteNew(typed: Record<string, string>) {
    const { name, ...rest } = typed
    try {
      const added = await add({ name: name! })
      if (added) await pasteInto(added, rest)
    } catch (cause) {
      notice.value = general(cause)
    }
  }

  return {
    surfaces,
    rows,
    drafts,
    undo,
    conflicts,
    notice,
    saving,
    faultOf,
    valueOf,
    type,
    commit,
    forget,
    add,
    remove,
    paste,
    byField,
  }
}

export type SurveyGrid = ReturnType<typeof useSurveyGrid>
