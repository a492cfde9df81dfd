/** Seeded choices, the same on every machine. */
export class Numbers {
  constructor(private seed: number) {}

  /** From 0 to 1. */
  next() {
    this.seed = (this.seed * 1664525 + 1013904223) % 4294967296
    return this.seed / 4294967296
  }

  chance = (share: number) => this.next() < share

  pick = <T>(list: readonly T[]) => list[Math.floor(this.next() * list.length)]!

  between = (low: number, high: number) => Math.round((low + this.next() * (high - low)) * 1000) / 1000

  /** Some of a list, in its order. */
  some = <T>(list: readonly T[], share = 0.5) => list.filter(() => this.chance(share))

  /** A value, or null for one in so many. */
  maybe = <T>(value: T, share = 0.8) => (this.chance(share) ? value : null)
}

/** Differences between two answers beyond a relative 1e-9. */
export function differences(a: unknown, b: unknown, at = ''): string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a), Math.abs(b)) ? [] : [`${at}: ${a} and ${b}`]
  if (a !== null && b !== null && typeof a === 'object' && typeof b === 'object') {
    const keys = new Set([...Object.keys(a), ...Object.keys(b)])
    return [...keys].flatMap((key) => differences((a as never)[key], (b as never)[key], `${at}.${key}`))
  }
  return a === b ? [] : [`${at}: ${JSON.stringify(a)} and ${JSON.stringify(b)}`]
}
