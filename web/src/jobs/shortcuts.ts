import type { ComputedRef, Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../shared/api/client'
import { focusNear } from '../shared/state/rowWindow'
import { onKey } from '../shared/state/keys'
import { useReader } from '../shared/state/reader'
import { useUndoKeys } from '../shared/state/undo'
import { stages } from '../shared/state/stages'

type Row = Schemas['BoardRow']

/** Keys that work on every screen of a job, unless one is typing. */
export function useShortcuts(
  job: () => string,
  rows: ComputedRef<Row[]>,
  inHand: ComputedRef<Row | undefined>,
  help: Ref<boolean>,
) {
  const router = useRouter()
  const route = useRoute()
  const reader = useReader()

  function toSurface(step: number) {
    const at = rows.value.findIndex((row) => row.id === inHand.value?.id)
    const next = rows.value[at + step]
    if (!next) return
    reader.inHand[job()] = next.id
    if (route.params.surface) void router.replace({ params: { ...route.params, surface: next.id } })
    else focusNear(document.querySelector<HTMLElement>(`[data-row="${next.id}"] a`))
  }

  onKey(['1', '2', '3', '4', '5', '6', '7', '8', '9'], (event) => {
    const page = stages()[Number(event.key) - 1]?.built?.to(job(), inHand.value?.id)
    if (page) void router.push(page)
  })
  onKey('j', () => toSurface(1))
  onKey('k', () => toSurface(-1))
  onKey('b', () => void router.push({ name: 'board', params: { job: job() } }))
  onKey('u', () => reader.switchUnits())
  onKey('?', () => (help.value = true))
  onKey('w', (event) => {
    // The figure in focus, or the first of the screen.
    const focused = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('.figure') : null
    const figure = focused ?? document.querySelector<HTMLElement>('#work .figure')
    figure?.click()
  })
  useUndoKeys(job)
}
