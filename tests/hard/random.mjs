// Chance that can be had again: the same seed makes the same requests.

export function chance(seed) {
  let state = seed >>> 0
  // Mulberry32, a public-domain generator: short, and even enough to choose requests by.
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
  const below = (n) => Math.floor(next() * n)
  return {
    below,
    is: (share) => next() < share,
    of: (list) => list[below(list.length)],
    between: (low, high) => low + next() * (high - low),
  }
}
