import { defineStore } from 'pinia'
import { inject, ref, type Ref } from 'vue'
import type { Working } from '../api/client'

/** The drawer of workings: a trail from the figure asked about down to what it came from. */
export const useWorkings = defineStore('workings', () => {
  const trail = ref<Working[]>([])
  /** Which core answered: the one in this browser or the server's. */
  const by = ref<'browser' | 'server'>('server')

  function open(working: Working, answeredBy: 'browser' | 'server' = 'server') {
    by.value = answeredBy
    trail.value = [working]
  }

  function deeper(working: Working) {
    trail.value = [...trail.value, working]
  }

  function back(to: number) {
    trail.value = trail.value.slice(0, to + 1)
  }

  function close() {
    trail.value = []
  }

  return { trail, by, open, deeper, back, close }
})

/** Opens the workings of a figure; a view whose figures the core in the browser can answer provides who did. */
export function useOpenWorking() {
  const workings = useWorkings()
  const answeredBy = inject<Ref<'browser' | 'server'> | null>('answeredBy', null)
  return (working: Working) => workings.open(working, answeredBy?.value ?? 'server')
}
