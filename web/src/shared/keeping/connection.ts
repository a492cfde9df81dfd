import { reactive } from 'vue'
import type { Outage } from '../api/client'

const WAITS = [1, 2, 4, 8, 15] as const

/** Whether the server answers, and when it is asked again where it does not. */
export const connection = reactive({ lost: false, why: 'silent' as Outage, tries: 0 })

let timer: ReturnType<typeof setTimeout> | undefined

/** Notes that the server did not answer, and has it tried again: soon at first, then every quarter of a minute. */
export function unanswered(why: Outage, again: () => void) {
  Object.assign(connection, { lost: true, why })
  clearTimeout(timer)
  const seconds = WAITS[Math.min(connection.tries++, WAITS.length - 1)]!
  timer = setTimeout(again, seconds * 1000)
}

/** Notes that it answered. */
export function answered() {
  clearTimeout(timer)
  connection.lost = false
  connection.tries = 0
}
