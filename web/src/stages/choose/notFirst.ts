import type { Candidate } from './useChooseDesk'

/** Of a whole score of 1: less than this cannot be told on the bar. */
const TELLING = 0.005
const MOST_PARTS = 2

export interface NotFirst {
  failsCondensation: boolean
  /** Short of the target, which the first meets. */
  fallsShort: boolean
  /** Both are short of the target, this one further than its score makes up for. */
  furtherShort: boolean
  /** Parts it scores less in than the first, the one it loses most by first; none where its score is no lower. */
  worseIn: string[]
}

/**
 * Why a system is not the first of those allowed, in the order they are ranked by: it fails on condensation, it is short of the
 * target, its score is lower; of those that are short, a score counts less the further it is short.
 */
export function notFirst(one: Candidate, first: Candidate): NotFirst {
  const failsCondensation = one.failsCondensation && !first.failsCondensation
  const fallsShort = !one.meetsTarget && first.meetsTarget
  const isLower = one.total.figure.amount < first.total.figure.amount
  const furtherShort = !isLower && !failsCondensation && !fallsShort && !one.meetsTarget
  return { failsCondensation, fallsShort, furtherShort, worseIn: isLower ? lostTo(first, one) : [] }
}

function lostTo(first: Candidate, one: Candidate) {
  const counts = (of: Candidate) => new Map(of.scores.map((score) => [score.part, score.value * score.share]))
  const own = counts(one)
  return [...counts(first)]
    .map(([part, best]) => ({ part, by: best - (own.get(part) ?? 0) }))
    .filter(({ by }) => by > TELLING)
    .sort((a, b) => b.by - a.by)
    .slice(0, MOST_PARTS)
    .map(({ part }) => part)
}
