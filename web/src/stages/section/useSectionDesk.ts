import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { sectionAsked, sectionAtOnce, useBrowserCore } from '@/shared/core/computeSection'
import { useProblems } from '@/shared/figures/problems'
import { useSurfaceFields } from '@/shared/state/fields'
import { useChoices, useSection } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { movedText } from '@/shared/keeping/records/surface'
import { movedIn, snap, stepMm, type Nudge } from './scale'

type Answer = Schemas['SectionAnswer']

/** The face as a hand left it: a number, which no reading of text passes. */
const MOVED = 'face.thickness'

/**
 * The section being worked at: a thickness that moves under the hand, figures that follow through the core,
 * and the surface that keeps it once the hand lets go.
 */
export function useSectionDesk(job: () => string, surface: () => string) {
  const reader = useReader()
  const choices = useChoices()
  const section = useSection(surface)
  const fields = useSurfaceFields(job, surface)
  const { byField } = useProblems()
  useBrowserCore(job)

  let settle: ReturnType<typeof setTimeout> | undefined
  const moving = ref<number | null>(null)
  const live = ref<Answer | null>(null)
  const liveFault = ref('')

  const question = computed(() => section.data.value?.question ?? null)
  const sheet = computed(() => choices.data.value?.sheets.find((s) => s.id === question.value?.sheetId) ?? null)
  // At rest there is one answer: the server's, of what is kept.
  const resting = computed(() => section.data.value?.answer ?? null)
  const answer = computed(() => (live.value ? withResting(live.value, resting.value) : resting.value))
  // Where a sheet does not rate the thickness there are layers to draw all the same.
  const laid = computed(() => answer.value?.laid ?? section.data.value?.laid ?? null)
  const thicknessMm = computed(() => moving.value ?? (laid.value && movedIn(laid.value)?.thicknessMm) ?? 0)
  const mostMm = computed(() => laid.value?.thickestMm ?? 0)
  const fault = computed(() => {
    const { thickness, sheet: ofSheet, [MOVED]: moved } = fields.faults.value
    return liveFault.value || thickness || moved || ofSheet || fields.notice.value
  })

  // What no thickness changes is not asked for in motion, and stays as it was; beside a layer that gives way the depth to order does change.
  const withResting = (moving: Answer, rest: Answer | null): Answer => {
    const framing = question.value?.further?.length ? undefined : rest?.figures.framingDepth
    const figures = framing ? { ...moving.figures, framingDepth: framing } : moving.figures
    const year = moving.year && { ...moving.year, air: rest?.year?.air ?? [] }
    return { ...moving, inches: rest?.inches ?? [], figures, year }
  }

  // The surface the hand took hold of; it keeps what the hand moved even if the page goes on to another meanwhile.
  let hand: ReturnType<typeof fields.here> | null = null

  // As the core printed it; an answer that is still under way may be of another thickness.
  const readAt = (mm: number) =>
    live.value && Math.abs((movedIn(live.value.laid)?.thicknessMm ?? 0) - mm) < 1e-6
      ? reader.print(live.value.figures.thickness?.figure)
      : ''

  /** The hand lets go: the surface it held keeps the thickness. */
  async function drop() {
    clearTimeout(settle)
    const [held, mm] = [hand, moving.value]
    hand = null
    if (!held || mm === null) return
    await held.put({ [MOVED]: movedText(mm, readAt(mm)) })
  }

  // Once it is kept the page shows what is kept, as soon as it has it: a step must not start from an older thickness. The
  // hand may have moved on meanwhile; then the newer thickness stands.
  watch(
    () => [fields.drafts.value[MOVED], section.isFetching.value] as const,
    ([draft, fetching]) => {
      if (draft !== undefined || hand || fetching) return
      moving.value = null
      live.value = null
    },
  )

  watch(surface, () => {
    void drop()
    moving.value = null
    live.value = null
    liveFault.value = ''
  })
  onBeforeUnmount(() => void drop())
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
    const id = surface()
    try {
      while (wanted !== null && surface() === id) {
        const next: number = wanted
        wanted = null
        const asked = await sectionAsked({ ...question.value, thicknessMm: next, brief: true }, job())
        if (surface() === id) take(asked)
      }
    } catch (cause) {
      if (surface() === id) liveFault.value = Object.values(byField(cause))[0] ?? ''
    } finally {
      asking = false
    }
  }

  function take(answer: Answer) {
    live.value = answer
    liveFault.value = ''
  }

  function moveTo(mm: number) {
    hand ??= fields.here()
    moving.value = mm
    // What was typed gives way to the hand; what is on its way is followed by what the hand leaves.
    if (!fields.waits('thickness')) fields.forget('thickness')
    void follow(mm)
  }

  function move(mm: number) {
    const at = snap(mm, reader.units, mostMm.value)
    // A hand moves by pixels, the thickness by steps: nothing is asked between them.
    if (at !== moving.value || !live.value) moveTo(at)
  }

  // A step of the keys settles a moment later.
  function nudge(direction: 1 | -1, by: Nudge) {
    move(thicknessMm.value + direction * (by === 'end' ? Infinity : stepMm(reader.units, by === 'large')))
    clearTimeout(settle)
    settle = setTimeout(() => void drop(), 450)
  }

  function goTo(metres: number) {
    moveTo(metres * 1000)
    void drop()
  }

  return {
    section,
    question,
    sheet,
    laid,
    answer,
    thicknessMm,
    mostMm,
    fault,
    typed: computed(() => fields.drafts.value.thickness ?? null),
    meeting: computed(() => ['thickness', MOVED, 'sheet'].map(fields.meetingAt).find(Boolean)),
    decide: fields.decide,
    move,
    drop,
    nudge,
    goTo,
    pick: (id: string) => fields.put({ sheet: id }),
    write: (text: string) => fields.type('thickness', text),
    unwrite: () => fields.forget('thickness'),
    type: (text: string) => fields.put({ thickness: text }),
  }
}
