import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { figure, within } from '@/shared/testing/shown'
import { useLiftsText } from './liftsText'

beforeEach(() => setActivePinia(createPinia()))

const lifts = (foam: string, count: number, each: string) => ({
  foam,
  count,
  each: figure(1, each),
  wait: figure(1, '15 min'),
  coolBelow: figure(1, '100 °F'),
})

it('one foam is told by its lifts alone', async () => {
  const text = await within(useLiftsText)
  expect(text([lifts('Marl CC-20', 1, '2 in')])).toBe('one lift of 2 in')
  expect(text([lifts('Marl CC-20', 3, '2 in')])).toBe('3 × 2 in, 15 min apart, below 100 °F')
})

it('of two foams each has its own count and thickness', async () => {
  const text = await within(useLiftsText)
  const told = text([lifts('Marl CC-20', 1, '1 in'), lifts('Fleece OC-5', 2, '5 3/8 in')])
  expect(told).toBe('Marl CC-20: one lift of 1 in; Fleece OC-5: 2 × 5 3/8 in, 15 min apart, below 100 °F')
})
