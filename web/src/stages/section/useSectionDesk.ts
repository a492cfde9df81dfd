import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { coreReady } from '@/shared/core/browserCore'
import { sectionAsked, sectionAtOnce, useBrowserCore, type AnsweredBy } from '@/shared/core/computeSection'
import { useProblems } from '@/shared/figures/problems'
import { onTop, useChoices, useSection, useSurfaceEdits } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { keyOfLayer, snap, stepMm } from './scale'

type Answer = Schemas['SectionAnswer']

/**
 * The section being worked at: a thickness that moves under the hand, figures that follow through the core,
 * and the surface that keeps it once the hand lets go.
 */
export function useSectionDesk(job: () => string, surface: () => string) {
  const reader = useReader()
  const choices = useChoices()
  const section = useSection(surface)
  const edits = useSurfaceEdits(job)
  const { byField, general } = useProblems()
  useBrowserCore()

  let settle: ReturnType<typeof setTimeout> | undefined
  const asText = (mm: number) => `${mm} mm`
  const moving = ref<number | null>(null)
  const live = ref<Answer | null>(null)
  const liveBy = ref<AnsweredBy>('server')
  const fault = ref('')
  const typed = ref<string | null>(null)

  const question = computed(() => section.data.value?.question ?? null)
  const sheet = computed(() => choices.data.value?.sheets.find((s) => s.id === question.value?.sheetId) ?? null)
  // Where no foam is sprayed the first layer put in stands in its place; nothing moves it.
  const cell = computed(
    () => sheet.value?.cell ?? (question.value?.then?.[0] ? keyOfLayer(question.value.then[0]) : 'closed'),
  )
  const thicknessMm = computed(
    () => moving.value ?? question.value?.thicknessMm ?? question.value?.then?.[0]?.thicknessMm ?? 0,
  )
  // At rest the core in the browser answers too, once it is there: a step then changes nothing but the thickness.
  const atRest = computed(() =>
    coreReady() && section.data.value?.answer && question.value ? sectionAtOnce(question.value) : null,
  )
  const resting = computed(() => atRest.value?.answer ?? section.data.value?.answer ?? null)
  const answer = computed(() => (live.value ? withResting(live.value, resting.value) : resting.value))
  const answeredBy = computed<AnsweredBy>(() => (live.value ? liveBy.value : (atRest.value?.by ?? 'server')))
  const mostMm = computed(() => (sheet.value?.thickest.si ?? 0.15) * 1000)

  // What no thickness changes is not asked for in motion, and stays as it was; beside a layer that gives way the depth to order does change.
  const withResting = (moving: Answer, rest: Answer | null): Answer => {
    const framing = question.value?.then?.length ? undefined : rest?.figures.framingDepth
    const figures = framing ? { ...moving.figures, framingDepth: framing } : moving.figures
    const year = moving.year && { ...moving.year, air: rest?.year?.air ?? [] }
    return { ...moving, inches: rest?.inches ?? [], figures, year }
  }

  // A step of the keys settles a moment later; going on to another surface must not lose it.
  let settling: { id: string; version: number } | null = null
  watch(surface, () => {
    clearTimeout(settle)
    if (settling && moving.value !== null) {
      edits.change(settling, { thickness: asText(moving.value) }).catch((cause) => (fault.value = general(cause)))
    }
    settling = null
    moving.value = null
    live.value = null
    fault.value = ''
    typed.value = null
  })
  watch(
    () => section.data.value,
    () => {
      if (moving.value === null) live.value = null
    },
  )

  // At most one question is under way; the newest thickness is asked next, those between are skipped.
  let asking = false
  let wanted: number | null = null

  // The core in the browser answers within the frame; where it is not there the server is asked.
  async function follow(mm: number) {
    wanted = mm
    if (asking || !question.value) return
    const here = sectionAtOnce({ ...question.value, thicknessMm: mm, brief: true })
    if (here) {
      wanted = null
      return take(here)
    }
    asking = true
    try {
      while (wanted !== null) {
        const next: number = wanted
        wanted = null
        take(await sectionAsked({ ...question.value, thicknessMm: next, brief: true }))
      }
    } catch (cause) {
      fault.value = Object.values(byField(cause))[0] ?? ''
    } finally {
      asking = false
    }
  }

  function take(computed: { answer: Answer; by: AnsweredBy }) {
    live.value = computed.answer
    liveBy.value = computed.by
    fault.value = ''
  }

  function move(mm: number) {
    const at = snap(mm, reader.units, mostMm.value)
    // A hand moves by pixels, the thickness by steps: nothing is asked between them.
    if (at === moving.value && live.value) return
    moving.value = at
    typed.value = null
    void follow(moving.value)
  }

  // One keeper at a time, so that each save carries the version the last one made.
  let queue: Promise<unknown> = Promise.resolve()
  function keep(fields: Record<string, string>) {
    queue = queue.then(() => keepNow(fields))
    return queue
  }

  async function keepNow(fields: Record<string, string>) {
    try {
      const save = () => edits.change({ id: surface(), version: section.data.value?.version ?? 0 }, fields)
      await onTop(save, () => section.refetch())
      fault.value = ''
      // A thickness being typed while the foam is kept is not this edit's to clear.
      if (typed.value === fields.thickness) typed.value = null
      await section.refetch()
      // The hand may have moved on while this was being kept; then the newer thickness stands and is kept next.
      if (moving.value === null || fields.thickness === asText(moving.value)) {
        moving.value = null
        live.value = null
      }
    } catch (cause) {
      fault.value = Object.values(byField(cause))[0] ?? ''
    }
  }

  const drop = () => (moving.value === null ? undefined : keep({ thickness: asText(moving.value) }))

  function nudge(direction: 1 | -1, large: boolean) {
    move(thicknessMm.value + direction * stepMm(reader.units, large))
    clearTimeout(settle)
    settling = { id: surface(), version: section.data.value?.version ?? 0 }
    settle = setTimeout(() => {
      settling = null
      void drop()
    }, 450)
  }

  function goTo(metres: number) {
    moving.value = metres * 1000
    void follow(moving.value)
    void drop()
  }

  return {
    section,
    question,
    sheet,
    cell,
    answer,
    answeredBy,
    thicknessMm,
    mostMm,
    fault,
    typed,
    move,
    drop,
    nudge,
    goTo,
    pick: (id: string) => keep({ sheet: id }),
    type: (text: string) => keep({ thickness: text }),
  }
}
