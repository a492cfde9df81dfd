import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { coreReady } from '@/shared/core/browserCore'
import { sectionAsked, sectionAtOnce, useBrowserCore, type AnsweredBy } from '@/shared/core/computeSection'
import { useProblems } from '@/shared/figures/problems'
import { useSurfaceFields } from '@/shared/state/fields'
import { useChoices, useSection } from '@/shared/state/job'
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
  const fields = useSurfaceFields(job, surface)
  const { byField } = useProblems()
  useBrowserCore()

  let settle: ReturnType<typeof setTimeout> | undefined
  const asText = (mm: number) => `${mm} mm`
  const moving = ref<number | null>(null)
  const live = ref<Answer | null>(null)
  const liveBy = ref<AnsweredBy>('server')
  const liveFault = ref('')

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
  const fault = computed(
    () => liveFault.value || fields.faults.value.thickness || fields.faults.value.sheet || fields.notice.value,
  )
  // What the hand moved is on its way as a draft too; the field shows what was typed, not that.
  const typed = computed(() => {
    const draft = fields.drafts.value.thickness
    return draft === undefined || (moving.value !== null && draft === asText(moving.value)) ? null : draft
  })

  // What no thickness changes is not asked for in motion, and stays as it was; beside a layer that gives way the depth to order does change.
  const withResting = (moving: Answer, rest: Answer | null): Answer => {
    const framing = question.value?.then?.length ? undefined : rest?.figures.framingDepth
    const figures = framing ? { ...moving.figures, framingDepth: framing } : moving.figures
    const year = moving.year && { ...moving.year, air: rest?.year?.air ?? [] }
    return { ...moving, inches: rest?.inches ?? [], figures, year }
  }

  // The surface the hand took hold of; it keeps what the hand moved even if the page goes on to another meanwhile.
  let hand: ReturnType<typeof fields.here> | null = null

  /** The hand lets go: the surface it held keeps the thickness. */
  async function drop() {
    clearTimeout(settle)
    const [held, mm] = [hand, moving.value]
    hand = null
    if (!held || mm === null) return
    await held.put({ thickness: asText(mm) })
  }

  // Once it is kept the page shows what is kept, as soon as it has it: a step must not start from an older thickness. The
  // hand may have moved on meanwhile; then the newer thickness stands.
  watch(
    () => [fields.drafts.value.thickness, section.isFetching.value] as const,
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
        const computed = await sectionAsked({ ...question.value, thicknessMm: next, brief: true })
        if (surface() === id) take(computed)
      }
    } catch (cause) {
      if (surface() === id) liveFault.value = Object.values(byField(cause))[0] ?? ''
    } finally {
      asking = false
    }
  }

  function take(computed: { answer: Answer; by: AnsweredBy }) {
    live.value = computed.answer
    liveBy.value = computed.by
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
  function nudge(direction: 1 | -1, large: boolean) {
    move(thicknessMm.value + direction * stepMm(reader.units, large))
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
    cell,
    answer,
    answeredBy,
    thicknessMm,
    mostMm,
    fault,
    typed,
    meeting: computed(() => fields.meetingAt('thickness') ?? fields.meetingAt('sheet')),
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
