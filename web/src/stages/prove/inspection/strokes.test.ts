import { expect, test } from 'vitest'
import { BY_NAME, strokesOf, textOf, type Stroke } from './strokes'

test('a signature comes back as it was drawn', () => {
  const strokes: Stroke[] = [
    [
      [1, 2],
      [30, 40],
    ],
    [[500, 120]],
  ]
  expect(strokesOf(textOf(strokes))).toEqual(strokes)
  expect(strokesOf('')).toEqual([])
  expect(strokesOf(BY_NAME)).toEqual([])
})

test('one that is drawn for minutes is kept coarser, with both of its ends', () => {
  const long: Stroke = Array.from({ length: 20_000 }, (_, i) => [i % 1000, i % 300] as const)
  const text = textOf([long])
  expect(text.length).toBeLessThanOrEqual(18_000)
  const [kept] = strokesOf(text)
  expect(kept!.at(0)).toEqual(long.at(0))
  expect(kept!.at(-1)).toEqual(long.at(-1))
})
