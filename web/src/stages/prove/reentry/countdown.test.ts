import { expect, test } from 'vitest'
import { leftOf } from './countdown'

const at = '2026-11-24T18:42:00Z'
const before = (seconds: number) => new Date(Date.parse(at) - seconds * 1000)

test.each([
  [1, '0:00:01'],
  [61, '0:01:01'],
  [29 * 3600 + 55, '29:00:55'],
  [0.2, '0:00:01'],
])('%d seconds before it says %s', (seconds, text) => expect(leftOf(at, before(seconds))).toBe(text))

test('once it has come there is nothing left, and where there is no end nothing to count', () => {
  expect(leftOf(at, before(0))).toBe('')
  expect(leftOf(at, before(-5))).toBe('')
  expect(leftOf(null, before(60))).toBe('')
})
