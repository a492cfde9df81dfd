import { computed, onScopeDispose, ref } from 'vue'

/** What is timed of a shot, in the order it comes. */
export const TIMED = ['cream', 'rise', 'tackFree'] as const
export type Timed = (typeof TIMED)[number]

const LONGEST = 600

/** Times a shot: the first press starts it, each of the next takes a time down. It stops by itself after ten minutes. */
export function useShotClock(take: (what: Timed, seconds: number) => void) {
  const started = ref<number>()
  const seconds = ref(0)
  const taken = ref(0)
  let tick: ReturnType<typeof setInterval> | undefined
  const next = computed(() => (started.value === undefined ? undefined : TIMED[taken.value]))

  function stop() {
    clearInterval(tick)
    started.value = undefined
  }

  function look() {
    seconds.value = (performance.now() - started.value!) / 1000
    if (seconds.value > LONGEST) stop()
  }

  function press() {
    if (next.value === undefined) {
      taken.value = 0
      seconds.value = 0
      started.value = performance.now()
      clearInterval(tick)
      tick = setInterval(look, 100)
      return
    }
    look()
    take(next.value, seconds.value)
    taken.value++
    if (taken.value === TIMED.length) stop()
  }

  onScopeDispose(stop)
  return { press, stop, next, seconds, runs: computed(() => started.value !== undefined) }
}
