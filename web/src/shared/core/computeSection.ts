import { useQuery } from '@tanstack/vue-query'
import { onMounted, onUnmounted, ref, watch } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { clearOther, sectionHere, supplyCore } from './browserCore'

const HANDS = ['pointermove', 'pointerdown', 'touchstart', 'keydown'] as const

/**
 * Brings the core into the browser while a view is open that asks it, once a hand is near: starting it takes a phone a
 * second, and who only reads needs none.
 * @param job The job whose editions of product sheets are laid out; the ones that stand where there is none, and then the
 * page is there for nothing else: the core comes at once.
 */
export function useBrowserCore(job?: () => string) {
  const supplies = useQuery({
    queryKey: ['supplies', job ?? ''],
    queryFn: () => fetch(`/api/supplies${job?.() ? `?job=${job()}` : ''}`).then(readable),
    staleTime: 600_000,
  })
  const near = ref(!job)
  const come = () => (near.value = true)
  const listen = (how: 'addEventListener' | 'removeEventListener') =>
    HANDS.forEach((hand) => globalThis[how](hand, come, { passive: true, once: true } as AddEventListenerOptions))
  onMounted(() => listen('addEventListener'))
  onUnmounted(() => {
    listen('removeEventListener')
    near.value = false
  })
  watch(
    [supplies.data, near],
    ([laidOut]) => {
      // What was laid out for another job answers nothing here.
      clearOther(laidOut)
      if (near.value && laidOut) void supplyCore(laidOut)
    },
    { immediate: true },
  )
}

async function readable(response: Response) {
  if (!response.ok) throw new Error(response.statusText)
  return response.text()
}

/** What a section question gives, from the core in the browser; null where only the server can say. */
export function sectionAtOnce(question: Schemas['SectionQuestion']): Schemas['SectionAnswer'] | null {
  const answer = sectionHere(question)
  return answer === null ? null : (JSON.parse(answer) as Schemas['SectionAnswer'])
}

/** What a section question of a job gives, from the server. */
export const sectionAsked = (question: Schemas['SectionQuestion'], job: string) =>
  ask(api.POST('/api/compute/section', { params: { query: { job } }, body: question }))
