import { computed } from 'vue'
import { useSession } from './session'

export const firmPages = [
  'firm',
  'means',
  'sequences',
  'sheets',
  'materials',
  'templates',
  'pastJobs',
  'stock',
  'places',
  'targets',
  'people',
] as const

/** A page of what is the firm's own, as its route is named. */
export type FirmPage = (typeof firmPages)[number]
export const isFirmPage = (name: unknown): name is FirmPage => firmPages.some((page) => page === name)

/** Those the person on the screen may open. */
export function useFirmPages() {
  const session = useSession()
  return computed(() => firmPages.filter((page) => page !== 'people' || session.may('manage')))
}
