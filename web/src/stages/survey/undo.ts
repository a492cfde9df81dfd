import { computed, shallowRef } from 'vue'

export interface Step {
  undo: () => Promise<unknown>
  redo: () => Promise<unknown>
}

/** A line of steps that can be taken back and taken again. */
export function useUndo() {
  const done = shallowRef<Step[]>([])
  const undone = shallowRef<Step[]>([])

  return {
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    did(step: Step) {
      done.value = [...done.value.slice(-99), step]
      undone.value = []
    },
    async undo() {
      const step = done.value.at(-1)
      if (!step) return
      done.value = done.value.slice(0, -1)
      // A step that cannot be taken back is not offered again; why is told where it is tried.
      await step.undo()
      undone.value = [...undone.value, step]
    },
    async redo() {
      const step = undone.value.at(-1)
      if (!step) return
      undone.value = undone.value.slice(0, -1)
      await step.redo()
      done.value = [...done.value, step]
    },
  }
}
