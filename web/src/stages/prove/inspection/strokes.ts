export type Stroke = readonly (readonly [x: number, y: number])[]

// Longer than any signature; what is more is drawn coarser.
const MOST = 18_000

/** What is kept in their place where somebody signs by name alone: not everybody can draw. */
export const BY_NAME = 'name'

/** Strokes as they are kept: a line each, x and y in turn, in thousandths of the width. */
export const strokesOf = (text: string): Stroke[] =>
  text
    .split('\n')
    .filter((line) => line && line !== BY_NAME)
    .map((line) => pairs(line.split(' ').map(Number)))

export function textOf(strokes: readonly Stroke[]): string {
  const text = strokes.map((stroke) => stroke.flat().join(' ')).join('\n')
  return text.length > MOST ? textOf(strokes.map(coarser)) : text
}

const pairs = (numbers: readonly number[]): Stroke =>
  Array.from({ length: numbers.length >> 1 }, (_, i) => [numbers[2 * i]!, numbers[2 * i + 1]!])

// Every other point, and the last.
const coarser = (stroke: Stroke): Stroke => stroke.filter((_, i) => i % 2 === 0 || i === stroke.length - 1)
