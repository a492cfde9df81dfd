import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, ApiProblem, ask, type FieldFault, type Schemas } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import { useReader } from '@/shared/state/reader'
import { useTypedForm } from '@/shared/state/typedForm'
import { isBare, unitOf } from './bareNumbers'
import { useSheet, type Sheet, type SheetCurve, type SheetLine } from './sheets'

type Check = Schemas['SheetCheck']

/** How long the hand rests before what it typed is looked at. */
const REST_MS = 300

/**
 * A sheet being typed. Only what differs from the sheet it was begun from is sent, so that a figure nobody touched is not
 * rounded to what the screen shows of it; while it is typed the server says how it reads.
 * @param edits The product whose next edition it is; empty for a new one.
 * @param from The product a new one is begun from; empty where it is begun with nothing.
 */
export function useSheetForm(edits: () => string, from: () => string) {
  const reader = useReader()
  const queries = useQueryClient()
  const { sentence } = useProblems()
  const begun = useSheet(() => edits() || from())
  const check = ref<Check | null>(null)
  const failed = ref<unknown>(null)
  const asked = ref(false)
  const stale = ref(false)

  // Of a sheet begun with nothing the server says which lines there are; what was typed of them stays typed.
  const lines = computed<SheetLine[]>(
    () => begun.data.value?.lines ?? (check.value?.lines ?? []).map((line) => ({ ...line, figure: null, text: null })),
  )
  const before = computed<SheetCurve[]>(() => begun.data.value?.curves ?? curvesOf(check.value))
  const printed = computed(() => ({
    ...Object.fromEntries(
      lines.value.map((line) => [line.path, line.figure ? reader.print(line.figure) : (line.text ?? '')]),
    ),
    ...Object.fromEntries(before.value.flatMap(pointsOf)),
  }))
  // A new sheet starts as the other one but for its name.
  const blank = computed(() => (edits() ? printed.value : { ...printed.value, name: '' }))
  const pointsOf = (curve: SheetCurve) => [
    [curve.path, placesOf(curve)],
    ...curve.points.flatMap(({ x, y }, i) => [
      [`${curve.path}.${i}.${curve.x}`, reader.print(x)],
      [`${curve.path}.${i}.${curve.y}`, reader.print(y)],
    ]),
  ]

  const form = useTypedForm(
    () => `sheetForm.${edits() || `new-${from()}`}`,
    blank,
    async () => {
      const kept = edits() ? await sendEdition() : await sendNew()
      for (const key of ['sheets', 'choices', 'supplies', 'job', 'surface'])
        void queries.invalidateQueries({ queryKey: [key] })
      return kept
    },
  )
  const kept = ref<Sheet | null>(null)
  const changed = () =>
    Object.fromEntries(Object.entries(form.typed.value).filter(([field, text]) => text !== blank.value[field]))
  // Begun from another it is a copy: its name is always said.
  const fields = () => (edits() ? changed() : { ...changed(), name: form.values.name ?? '' })

  const sendNew = () =>
    once('sheet', fields(), (id) =>
      ask(api.POST('/api/sheets', { body: { id, units: reader.units, fields: fields(), from: from() || null } })),
    ).then(take)
  const sendEdition = () =>
    once('edition', [edits(), fields()], (id) =>
      ask(
        api.POST('/api/sheets/{id}/editions', {
          params: { path: { id: edits() } },
          body: { id, units: reader.units, fields: fields(), version: begun.data.value!.summary.version },
        }),
      ),
    ).then(take, conflict)
  const take = (sheet: Sheet) => (kept.value = sheet)
  function conflict(cause: unknown): never {
    stale.value = cause instanceof ApiProblem && cause.status === 409
    throw cause
  }

  // A bare number was meant in the units it was typed in: it keeps them when the reader changes theirs.
  watch(
    () => reader.units,
    (_, before) => {
      const read = { lines: check.value?.lines ?? lines.value, curves: check.value?.curves ?? [] }
      for (const [field, text] of Object.entries(form.typed.value)) {
        const unit = unitOf(field, read, before)
        if (unit && isBare(text)) form.values[field] = `${text.trim()} ${unit}`
      }
    },
    { flush: 'sync' },
  )

  let turn = 0
  async function look() {
    const mine = ++turn
    try {
      const body = { units: reader.units, fields: fields(), from: edits() || from() || null }
      const answer = await ask(api.POST('/api/sheets/check', { body }))
      if (mine === turn) [check.value, failed.value] = [answer, null]
    } catch (cause) {
      // Of a form that stands already nothing is lost: it is only not drawn anew.
      if (mine === turn) failed.value = cause
    }
  }
  let rest: ReturnType<typeof setTimeout> | undefined
  watch(
    [form.typed, () => reader.units, begun.data],
    (_, [earlier]) => {
      clearTimeout(rest)
      rest = setTimeout(() => void look(), earlier ? REST_MS : 0)
    },
    { immediate: true, deep: true },
  )

  // Typed on, what a save was refused for is out of date: what is still wrong is told anew.
  watch(form.typed, () => (form.faults.value = {}))

  // What is still blank is no fault before somebody wants to save it.
  const isTold = ({ field, code }: FieldFault) => asked.value || code !== 'empty' || field in form.typed.value
  const faults = computed<Record<string, string>>(() => ({
    ...form.faults.value,
    ...Object.fromEntries((check.value?.faults ?? []).filter(isTold).map((one) => [one.field, sentence(one)])),
  }))

  return {
    begun,
    lines,
    values: form.values,
    faults,
    notice: form.notice,
    busy: form.busy,
    failed,
    stale,
    curves: computed(() => check.value?.curves ?? before.value),
    blankCurves: before,
    clear: form.clear,
    retry: look,
    /** Somebody kept another edition meanwhile: what was typed here goes on from theirs. */
    async goOn() {
      await begun.refetch()
      stale.value = false
      form.notice.value = ''
    },
    async save(): Promise<Sheet | null> {
      asked.value = true
      kept.value = null
      return (await form.submit()) ? kept.value : null
    },
  }
}

export type SheetForm = ReturnType<typeof useSheetForm>

const curvesOf = (check: Check | null) => (check?.curves ?? []).map((curve) => ({ ...curve, points: [] }))

/** The places of a curve's points, as the field of the curve names them. */
export const placesOf = (curve: SheetCurve) => curve.points.map((_, i) => i).join(',')
