import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Working } from '../api/client'

/** The drawer of workings: a trail from the figure asked about down to what it came from. */
export const useWorkings = defineStore('workings', () => {
  const trail = ref<Working[]>([])

  function open(working: Working) {
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

  return { trail, open, deeper, back, close }
})
