import { useQuery } from '@tanstack/vue-query'
import { onMounted, onUnmounted, watch } from 'vue'
import { api, ask, type Schemas } from '../api/client'
import { sectionHere, stockCore } from './browserCore'

export type AnsweredBy = 'browser' | 'server'

export interface Computed<T> {
  answer: T
  by: AnsweredBy
}

/** Brings the core into the browser while a view is open that asks it. */
export function useBrowserCore() {
  const shelf = useQuery({ queryKey: ['shelf'], queryFn: () => fetch('/api/shelf').then(readable), staleTime: 600_000 })
  let open = false
  const stock = () => (open && shelf.data.value ? void stockCore(shelf.data.value) : undefined)
  onMounted(() => {
    open = true
    stock()
  })
  onUnmounted(() => (open = false))
  watch(shelf.data, stock)
}

async function readable(response: Response) {
  if (!response.ok) throw new Error(response.statusText)
  return response.text()
}

/** What a section question gives, from the core in the browser; null where only the server can say. */
export function sectionAtOnce(question: Schemas['SectionQuestion']): Computed<Schemas['SectionAnswer']> | null {
  const answer = sectionHere(question)
  return answer === null ? null : { answer: JSON.parse(answer) as Schemas['SectionAnswer'], by: 'browser' }
}

/** What a section question gives, from the server. */
export async function sectionAsked(question: Schemas['SectionQuestion']): Promise<Computed<Schemas['SectionAnswer']>> {
  return { answer: await ask(api.POST('/api/compute/section', { body: question })), by: 'server' }
}
