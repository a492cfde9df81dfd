/** Time left until a moment, as a clock that counts down: 7:05:09. Empty once it has come, and where there is none. */
export function leftOf(at: string | null | undefined, now: Date): string {
  const seconds = at ? Math.ceil((Date.parse(at) - now.getTime()) / 1000) : 0
  if (seconds <= 0) return ''
  const two = (n: number) => `${n}`.padStart(2, '0')
  return `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`
}
