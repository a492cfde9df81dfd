import { useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useProblems } from '@/shared/figures/problems'
import { connection } from '@/shared/keeping/connection'
import { decide, discard, forget, onTheirWay, put, type } from '@/shared/keeping/editor'
import { shelf } from '@/shared/keeping/entries'
import { nameOf, type Place } from '@/shared/keeping/kinds'
import { stepsOf, together, type Step } from '@/shared/keeping/steps'
import { doubts } from '@/shared/state/doubts'
import { useSurfaceList, useSurfaces, type Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { theirsOf } from '@/shared/state/typed'
import { fields as columns, textOf, type Field } from './columns'

export interface Conflict {
  surface: string
  field: Field
  mine: string
  theirs: string
}

type Texts = Partial<Record<Field, string>>

/** The survey grid: cells are kept one by one, faults stay at their cell with what was typed, every step can be undone. */
export function useSurveyGrid(job: string) {
  const reader = useReader()
  const queries = useQueryClient()
  const surfaces = useSurfaces(job)
  const list = useSurfaceList(job)
  const undo = stepsOf(job)
  const { t } = useI18n()
  const { byField, general, ofRefused } = useProblems()
  const notice = ref('')
  const adding = ref(0)

  const rows = computed(() => surfaces.data.value ?? [])
  const place = (id: string): Place => ({ kind: 'surface', id, within: job })
  const nameOfSurface = (id: string) => nameOf(place(id))
  // Asked where the answers are kept: edits go on after the page was left.
  const current = (id: string) =>
    queries.getQueryData<Surface[]>(['job', job, 'surfaces'])?.find((one) => one.id === id)
  const entryAt = (id: string, field: string) => shelf.value.get(nameOfSurface(id), field)
  const isColumn = (field: string): field is Field => columns.some((one) => one === field)
  const valueOf = (row: Surface, field: Field) => entryAt(row.id, field)?.text ?? textOf(row, field, reader.units)
  const fieldsOf = (id: string) => Object.keys(shelf.value.of(nameOfSurface(id))).filter(isColumn)
  const at = computed(() =>
    rows.value.flatMap((row) => fieldsOf(row.id).map((field) => ({ row, field, entry: entryAt(row.id, field)! }))),
  )

  const faultOf = (id: string, field: string) => ofRefused(entryAt(id, field))

  const conflicts = computed<Conflict[]>(() =>
    at.value
      .filter(({ entry }) => entry.state === 'met')
      .map(({ row, field, entry }) => ({
        surface: row.id,
        field,
        mine: entry.text,
        theirs: theirsOf(entry, reader.units),
      })),
  )

  function forgetCell(id: string, field: Field) {
    forget(place(id), field)
    if (doubts.of(nameOfSurface(id))[field]?.code === 'instead') doubts.drop(nameOfSurface(id), field)
  }

  /** Keeps a cell as it was typed. Where it collides with someone else's the person decides first. */
  async function commit(row: Surface, field: Field) {
    const entry = entryAt(row.id, field)
    if (entry?.state === 'typed' || entry?.state === 'refused') await keep(row.id, { [field]: entry.text })
  }

  /** Keeps texts of one surface; slips wait at their cells, the rest is kept without them. */
  async function keep(id: string, texts: Texts, steps?: Step[]) {
    const row = current(id)
    if (!row) return
    const changed: Record<string, string> = {}
    for (const [field, text] of Object.entries(texts) as [Field, string][]) {
      // What another edit is on its way with must be put right even where it reads as the page does now.
      const isKept = text.trim() === textOf(row, field, reader.units).trim() && !entryAt(id, field)?.sent
      if (isKept) forgetCell(id, field)
      else changed[field] = text
    }
    if (Object.keys(changed).length) await put(place(id), changed, { units: reader.units, steps })
  }

  async function add(fieldsTyped: Texts & { name: string }) {
    const added = await addRow(fieldsTyped)
    undo.did(stepOfAdded(added))
    await nextTick()
    return added
  }

  async function addRow(fieldsTyped: Texts & { name: string }) {
    adding.value++
    try {
      const added = await list.add(fieldsTyped)
      doubts.answered(nameOfSurface(added.id), Object.keys(fieldsTyped), added)
      notice.value = ''
      return added
    } finally {
      adding.value--
    }
  }

  const stepOfAdded = (row: Surface): Step => ({ undo: () => list.remove(row), redo: () => list.restore(row) })

  async function remove(row: Surface) {
    try {
      await list.remove(row)
      undo.did({ undo: () => list.restore(row), redo: () => list.remove(row) })
    } catch (cause) {
      notice.value = general(cause)
    }
  }

  /** Takes pasted rows: the first go into the rows that are there from one on, further ones are added. One step of undo. */
  async function take(start: number, pasted: readonly Texts[]) {
    const there = rows.value.slice(start)
    const steps: Step[] = []
    for (const [i, texts] of pasted.entries()) {
      const target = there[i]
      if (target) await takeInto(target, texts, steps)
      else await takeNew(texts, steps)
    }
    if (steps.length) undo.did(together(steps))
  }

  function takeInto(target: Surface, texts: Texts, steps: Step[]) {
    for (const [field, text] of Object.entries(texts) as [Field, string][]) {
      type(place(target.id), field, text, reader.units)
    }
    return keep(target.id, texts, steps)
  }

  // A row with a slip in it is still a row: its name is taken, and each slip waits at its cell.
  async function takeNew({ name, ...rest }: Texts, steps: Step[]) {
    if (!name) return
    try {
      const added = await addRow({ name })
      steps.push(stepOfAdded(added))
      await takeInto(added, rest, steps)
    } catch (cause) {
      notice.value = general(cause)
    }
  }

  return {
    surfaces,
    rows,
    /** What was typed and is not kept. On a surface that was deleted it waits with it, and counts again once it is back. */
    unsaved: computed(() => at.value.length),
    conflicts,
    notice: computed(
      () => notice.value || (connection.lost && at.value.length ? t(`problem.waits.${connection.why}`) : ''),
    ),
    saving: computed(() => adding.value + rows.value.filter((row) => nameOfSurface(row.id) in onTheirWay).length),
    draftOf: (id: string, field: Field) => entryAt(id, field)?.text,
    fieldsOf,
    faultOf,
    doubtOf: (id: string, field: Field) => doubts.of(nameOfSurface(id))[field],
    right: (id: string, field: Field) => doubts.drop(nameOfSurface(id), field),
    valueOf,
    type: (row: Surface, field: Field, text: string) => type(place(row.id), field, text, reader.units),
    commit,
    forget: forgetCell,
    decide: (id: string, field: Field, which: 'mine' | 'theirs') => decide(place(id), field, which),
    /** Whether a cell waits for the person. */
    waits: (id: string, field: Field) => ['refused', 'met'].includes(entryAt(id, field)?.state ?? ''),
    discard: () =>
      discard((record, field) => isColumn(field) && rows.value.some((row) => nameOfSurface(row.id) === record)),
    add,
    remove,
    take,
    byField,
  }
}

export type SurveyGrid = ReturnType<typeof useSurveyGrid>
