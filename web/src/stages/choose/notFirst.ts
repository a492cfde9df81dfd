import type { Candidate } from './useChooseDesk'

/** Of a whole score of 1: less than this cannot be told on the bar. */
const TELLING = 0.005
const MOST_PARTS = 2

export interface NotFirst {
  failsCondensation: boolean
  fallsShort: boolean
  /** Parts of the score it does worse in than the first, the one that costs it most first. */
  worseIn: string[]
}

/** Why a system is not the first of those allowed: what it fails that the first does not, and where it loses the score. */
export function notFirst(one: Candidate, first: Candidate): NotFirst {
  const share = (of: Candidate) => new Map(of.scores.map((score) => [score.part, score.value * score.share]))
  const best = share(first)
  const lost = [...share(one)]
    .map(([part, counts]) => ({ part, by: counts - (best.get(part) ?? counts) }))
    .filter(({ by }) => by > TELLING)
    .sort((a, b) => b.by - a.by)
  return {
    failsCondensation: one.failsCondensation && !first.failsCondensation,
    fallsShort: !one.meetsTarget && first.meetsTarget,
    worseIn: lost.slice(0, MOST_PARTS).map(({ part }) => part),
  }
}
