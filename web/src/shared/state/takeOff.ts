import { onBeforeUnmount, ref } from 'vue'

/** Time to think better of it. */
const GRACE = 8_000

/**
 * Takes records off so that it can be undone: the record goes from the screen at once, and for good once the grace is over
 * or the screen is left. Until then nothing was taken off anywhere, so that a lost connection loses nothing.
 */
export function useTakeOff(remove: (id: string) => Promise<unknown>) {
  const waiting = ref<{ id: string; name: string }[]>([])
  const failed = ref<unknown>(null)
  const timers = new Map<string, ReturnType<typeof setTimeout>>()

  async function forGood(id: string) {
    clearTimeout(timers.get(id))
    if (!timers.delete(id)) return
    try {
      await remove(id)
    } catch (cause) {
      failed.value = cause
    }
    waiting.value = waiting.value.filter((one) => one.id !== id)
  }

  onBeforeUnmount(() => [...timers.keys()].forEach((id) => void forGood(id)))

  return {
    waiting,
    failed,
    gone: (id: string) => waiting.value.some((one) => one.id === id),
    takeOff(id: string, name: string) {
      failed.value = null
      waiting.value = [...waiting.value, { id, name }]
      timers.set(
        id,
        setTimeout(() => void forGood(id), GRACE),
      )
    },
    undo(id: string) {
      clearTimeout(timers.get(id))
      timers.delete(id)
      waiting.value = waiting.value.filter((one) => one.id !== id)
    },
  }
}

export type TakeOff = ReturnType<typeof useTakeOff>
