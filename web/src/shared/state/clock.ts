import { useIntervalFn } from '@vueuse/core'
import { reactive, ref } from 'vue'
import type { Schemas } from '../api/client'

/**
 * The time the product goes by: the server's, which in a demo may be another day's. This device's own clock only tells
 * how much time has gone by since the server last said what time it is.
 */
const clock = reactive({ server: Date.now(), device: Date.now(), rate: 1, demo: false })

/** Whether the product goes by the clock of a demo. */
export const isDemoClock = () => clock.demo

/** Takes over the server's clock. */
export function clockIs({ now, rate, demo }: Schemas['ClockAnswer']) {
  Object.assign(clock, { server: Date.parse(now), device: Date.now(), rate, demo })
}

/** Sets the clock right by the time an answer was given at. */
export function heardAt(now: string | null | undefined) {
  const server = Date.parse(now ?? '')
  if (Number.isFinite(server)) Object.assign(clock, { server, device: Date.now() })
}

/** Now, in milliseconds since 1970. */
export const nowMs = () => clock.server + (Date.now() - clock.device) * clock.rate

/** Now, again and again. */
export function useClock(everyMs = 30_000) {
  const now = ref(new Date(nowMs()))
  useIntervalFn(() => (now.value = new Date(nowMs())), everyMs)
  return now
}
