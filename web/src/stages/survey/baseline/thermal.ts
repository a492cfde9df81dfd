/** The product's own scale of warmth: from shadow through copper to daylight. */
const STOPS: readonly (readonly [number, number, number])[] = [
  [27, 22, 60],
  [84, 38, 104],
  [148, 52, 96],
  [186, 92, 52],
  [226, 158, 74],
  [251, 238, 196],
]

/** The colour of a share of the scale, 0 the coldest to 1 the warmest. */
export function warmth(share: number): readonly [number, number, number] {
  const at = Math.min(1, Math.max(0, share)) * (STOPS.length - 1)
  const i = Math.min(STOPS.length - 2, Math.floor(at))
  const [low, high] = [STOPS[i]!, STOPS[i + 1]!]
  const mix = (channel: 0 | 1 | 2) => Math.round(low[channel] + (high[channel] - low[channel]) * (at - i))
  return [mix(0), mix(1), mix(2)]
}

export const gradient = `linear-gradient(to top, ${STOPS.map((rgb) => `rgb(${rgb.join(' ')})`).join(', ')})`

/** Dots as they are painted, row by row. */
export function paint(temps: readonly number[]): Uint8ClampedArray<ArrayBuffer> {
  const [low, high] = temps.reduce(([a, b], t) => [Math.min(a, t), Math.max(b, t)], [Infinity, -Infinity])
  const pixels = new Uint8ClampedArray(temps.length * 4)
  temps.forEach((t, i) => {
    pixels.set([...warmth(high > low ? (t - low) / (high - low) : 0.5), 255], i * 4)
  })
  return pixels
}
