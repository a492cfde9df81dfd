import { useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, ref } from 'vue'
import { ApiProblem } from '@/shared/api/client'
import { doubts } from '@/shared/state/doubts'
import { useProblems } from '@/shared/figures/problems'
import { useSurfaceEdits, useSurfaces, type Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { textOf, type Field } from './columns'
import { useGridDrafts } from './drafts'
import { useUndo, type Step } from './undo'

export interface Conflict {
  surface: string
  field: Field
  mine: string
  theirs: string
}

type Texts = Partial<Record<Field, string>>

/** The survey grid: cells commit one by one, faults stay at their cell with what was typed, every step can be undone. */
export function useSurveyGrid(job: string) {
  const reader = useReader()
  const queries = useQueryClient()
  const surfaces = useSurfaces(job)
  const edits = useSurfaceEdits(job)
  const drafts = useGridDrafts(job)
  const undo = useUndo()
  const { byField, general } = useProblems()
  const faults = ref<Record<string, string>>({})
  const conflicts = ref<Conflict[]>([])
  const notice = ref('')
  const saving = ref(0)

  const rows = computed(() => surfaces.data.value ?? [])
  // Asked where the answers are kept: edits go on after the page was left.
  const current = (id: string) =>
    queries.getQueryData<Surface[]>(['job', job, 'surfaces'])?.find((one) => one.id === id)
  const at = (id: string, field: string) => `${id}.${field}`
  const faultOf = (id: string, field: string) => faults.value[at(id, field)] ?? ''
  const valueOf = (row: Surface, field: Field) => drafts.get(row.id, field) ?? textOf(row, field, reader.units)

  // What was typed on a surface that has been deleted waits with it: it counts again when the surface is back.
  const unsaved = computed(() => rows.value.reduce((sum, row) => sum + drafts.fieldsOf(row.id).length, 0))

  function type(row: Surface, field: Field, text: string) {
    drafts.set(row.id, field, text)
  }

  function setFault(id: string, field: string, sentence: string | null) {
    if (sentence) faults.value[at(id, field)] = sentence
    else delete faults.value[at(id, field)]
  }

  function forget(id: string, field: Field) {
    drafts.drop(id, field)
    if (doubts.of(`surface.${id}`)[field]?.code === 'instead') doubts.drop(`surface.${id}`, field)
    setFault(id, field, null)
    conflicts.value = conflicts.value.filter((c) => c.surface !== id || c.field !== field)
  }

  async function counted<T>(work: () => Promise<T>) {
    saving.value++
    try {
      return await work()
    } finally {
      saving.value--
    }
  }

  // Cells of one surface go one after the other, so that each is held against what the one before left.
  const turns = new Map<string, Promise<unknown>>()
  function inTurn<T>(id: string, work: () => Promise<T>): Promise<T> {
    const turn = (turns.get(id) ?? Promise.resolve()).then(work)
    turns.set(
      id,
      turn.catch(() => undefined),
    )
    return turn
  }

  const conflictAt = (id: string, field: Field) => conflicts.value.find((c) => c.surface === id && c.field === field)

  /** Keeps a cell. Where it collides with someone else's the person decides first; until then typing on only changes what is offered. */
  async function commit(row: Surface, field: Field, decided = false) {
    const text = drafts.get(row.id, field)
    if (text === undefined) return
    const conflict = conflictAt(row.id, field)
    if (conflict && !decided) {
      conflict.mine = text
      return
    }
    // The version that was on the screen goes along: an edit that collides with someone else's is shown, not laid over it.
    const step = await inTurn(row.id, () => keep(row, { [field]: text }))
    if (step) undo.did(step)
  }

  /** Keeps texts of one surface and gives the step that takes them back; slips wait at their cells, the rest is kept without them. */
  async function keep(seen: Surface, texts: Texts): Promise<Step | null> {
    const row = current(seen.id)
    if (!row) return null
    const changed: Texts = {}
    for (const [field, text] of Object.entries(texts) as [Field, string][]) {
      if (text.trim() === textOf(row, field, reader.units).trim()) forget(seen.id, field)
      else changed[field] = text
    }
    if (Object.keys(changed).length === 0) return null
    try {
      return await counted(() => send(seen, changed))
    } catch (cause) {
      const slips = refuse(seen.id, changed, cause)
      const rest = Object.fromEntries(Object.entries(changed).filter(([field]) => !slips.has(field)))
      return slips.size && Object.keys(rest).length ? keep(seen, rest) : null
    }
  }

  async function send(seen: Surface, texts: Texts): Promise<Step> {
    const answer = await edits.change(seen, texts, false)
    doubts.answered(`surface.${seen.id}`, Object.keys(texts), answer)
    for (const field of Object.keys(texts) as Field[]) {
      // Typed on while this was sent: the newer text waits for its own turn.
      if (drafts.get(seen.id, field) === texts[field]) forget(seen.id, field)
    }
    notice.value = ''
    return stepOf(answer)
  }

  /** The step that takes an edit back by what its answer gave for that, and takes it again likewise. */
  function stepOf(answer: Surface): Step {
    let last = answer
    const back = () =>
      inTurn(answer.id, () =>
        counted(async () => {
          try {
            last = await edits.takeBack(last, last.undo!)
          } catch (cause) {
            if (cause instanceof ApiProblem && cause.theirs) edits.put(cause.theirs as Surface)
            notice.value = general(cause)
            throw cause
          }
        }),
      )
    return { undo: back, redo: back }
  }

  /** Marks the cells that were refused; gives those whose own text is at fault. */
  function refuse(id: string, texts: Texts, cause: unknown): Set<string> {
    const fields = Object.keys(texts) as Field[]
    if (cause instanceof ApiProblem && cause.status === 409 && cause.theirs) {
      const theirs = edits.put(cause.theirs as Surface)
      const met = fields.map((field) => ({
        surface: id,
        field,
        mine: texts[field]!,
        theirs: textOf(theirs, field, reader.units),
      }))
      conflicts.value = [...conflicts.value.filter((c) => c.surface !== id || !fields.includes(c.field)), ...met]
      return new Set()
    }
    doubts.refused(`surface.${id}`, fields, cause)
    const sentences = byField(cause)
    if (!(cause instanceof ApiProblem && cause.faults.length)) {
      notice.value = general(cause)
      return new Set()
    }
    const own = fields.filter((field) => sentences[field])
    const slips = own.length ? own : fields
    slips.forEach((field) => setFault(id, field, sentences[field] ?? Object.values(sentences)[0] ?? general(cause)))
    return new Set(slips)
  }

  async function add(fieldsTyped: Texts & { name: string }) {
    const added = await addRow(fieldsTyped)
    undo.did(stepOfAdded(added))
    await nextTick()
    return added
  }

  async function addRow(fieldsTyped: Texts & { name: string }) {
    const added = await counted(() => edits.add(fieldsTyped))
    doubts.answered(`surface.${added.id}`, Object.keys(fieldsTyped), added)
    notice.value = ''
    return added
  }

  const stepOfAdded = (row: Surface): Step => ({ undo: () => edits.remove(row), redo: () => edits.restore(row) })

  async function remove(row: Surface) {
    try {
      await edits.remove(row)
      undo.did({ undo: () => edits.restore(row), redo: () => edits.remove(row) })
    } catch (cause) {
      notice.value = general(cause)
    }
  }

  /** Takes pasted rows: the first go into the rows that are there from one on, further ones are added. One step of undo. */
  async function take(start: number, pasted: readonly Texts[]) {
    const there = rows.value.slice(start)
    const steps: (Step | null)[] = []
    for (const [i, texts] of pasted.entries()) {
      const target = there[i]
      steps.push(...(target ? [await takeInto(target, texts)] : await takeNew(texts)))
    }
    undo.did(together(steps.filter((step): step is Step => step !== null)))
  }

  function takeInto(target: Surface, texts: Texts) {
    for (const [field, text] of Object.entries(texts) as [Field, string][]) drafts.set(target.id, field, text)
    return inTurn(target.id, () => keep(target, texts))
  }

  // A row with a slip in it is still a row: its name is taken, and each slip waits at its cell.
  async function takeNew({ name, ...rest }: Texts): Promise<(Step | null)[]> {
    if (!name) return []
    try {
      const added = await addRow({ name })
      return [stepOfAdded(added), await takeInto(added, rest)]
    } catch (cause) {
      notice.value = general(cause)
      return []
    }
  }

  /** Lets go of everything typed and not saved; undo brings it back. */
  function discard() {
    const typed = rows.value.flatMap((row) =>
      (drafts.fieldsOf(row.id) as Field[]).map((field) => ({ id: row.id, field, text: drafts.get(row.id, field)! })),
    )
    const drop = async () => typed.forEach(({ id, field }) => forget(id, field))
    const bring = async () => typed.forEach(({ id, field, text }) => drafts.set(id, field, text))
    void drop()
    notice.value = ''
    undo.did({ undo: bring, redo: drop })
  }

  return {
    surfaces,
    rows,
    drafts,
    unsaved,
    undo,
    conflicts,
    notice,
    saving,
    faultOf,
    doubtOf: (id: string, field: Field) => doubts.of(`surface.${id}`)[field],
    right: (id: string, field: Field) => doubts.drop(`surface.${id}`, field),
    valueOf,
    type,
    commit,
    forget,
    waits: (id: string, field: Field) => faultOf(id, field) !== '' || conflictAt(id, field) !== undefined,
    discard,
    add,
    remove,
    take,
    byField,
  }
}

/** Steps as one: taken back from the last, taken again from the first. */
function together(steps: readonly Step[]): Step {
  return {
    async undo() {
      for (const step of [...steps].reverse()) await step.undo()
    },
    async redo() {
      for (const step of steps) await step.redo()
    },
  }
}

export type SurveyGrid = ReturnType<typeof useSurveyGrid>
