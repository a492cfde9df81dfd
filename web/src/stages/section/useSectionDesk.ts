import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { onTop, useChoices, useSection, useSurfaceEdits } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { snap, stepMm } from './scale'

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

  let settle: ReturnType<typeof setTimeout> | undefined
  const asText = (mm: number) => `${mm} mm`
  const moving = ref<number | null>(null)
  const live = ref<Answer | null>(null)
  const fault = ref('')
  const typed = ref<string | null>(null)

  const question = computed(() => section.data.value?.question ?? null)
  const sheet = computed(() => choices.data.value?.sheets.find((s) => s.id === question.value?.sheetId) ?? null)
  const thicknessMm = computed(() => moving.value ?? question.value?.thicknessMm ?? 0)
  const answer = computed(() => live.value ?? section.data.value?.answer ?? null)
  const mostMm = computed(() => (sheet.value?.thickest.si ?? 0.15) * 1000)

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

  async function follow(mm: number) {
    wanted = mm
    if (asking || !question.value) return
    asking = true
    try {
      while (wanted !== null) {
        const next: number = wanted
        wanted = null
        const body = { ...question.value, thicknessMm: next }
        live.value = await ask(api.POST('/api/compute/section', { body }))
        fault.value = ''
      }
    } catch (cause) {
      fault.value = Object.values(byField(cause))[0] ?? ''
    } finally {
      asking = false
    }
  }

  function move(mm: number) {
    moving.value = snap(mm, reader.units, mostMm.value)
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
    answer,
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
