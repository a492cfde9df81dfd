import { computed, shallowRef } from 'vue'
import { isNoAnswer } from '../api/client'

export interface Step {
  undo: () => Promise<unknown>
  redo: () => Promise<unknown>
}

/** A line of steps that can be taken back and taken again. */
export function lineOfSteps() {
  const done = shallowRef<Step[]>([])
  const undone = shallowRef<Step[]>([])

  return {
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    did(step: Step) {
      done.value = [...done.value.slice(-99), step]
      undone.value = []
    },
    /** Takes the last step back; false where there is none. */
    async undo() {
      const step = done.value.at(-1)
      if (!step) return false
      done.value = done.value.slice(0, -1)
      await step.undo().catch((cause: unknown) => {
        // What got no answer is tried again; a step that cannot be taken back is not offered again, and why is told.
        if (isNoAnswer(cause)) done.value = [...done.value, step]
        throw cause
      })
      undone.value = [...undone.value, step]
      return true
    },
    async redo() {
      const step = undone.value.at(-1)
      if (!step) return false
      undone.value = undone.value.slice(0, -1)
      await step.redo().catch((cause: unknown) => {
        if (isNoAnswer(cause)) undone.value = [...undone.value, step]
        throw cause
      })
      done.value = [...done.value, step]
      return true
    },
  }
}

export type Steps = ReturnType<typeof lineOfSteps>

const lines = new Map<string, Steps>()

/** What belongs to no job: places, targets, stock, rates. */
export const FIRM = 'firm'

/** The steps made on a job, or on what belongs to none, whichever page they were made on. */
export function stepsOf(job: string): Steps {
  let line = lines.get(job)
  if (!line) lines.set(job, (line = lineOfSteps()))
  return line
}

/** Steps as one: taken back from the last, taken again from the first. */
export function together(steps: readonly Step[]): Step {
  return {
    async undo() {
      for (const step of [...steps].reverse()) await step.undo()
    },
    async redo() {
      for (const step of steps) await step.redo()
    },
  }
}
