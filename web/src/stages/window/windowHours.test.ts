import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import type { Hours } from '@/shared/hours/useHours'
import { hour, hours } from '@/shared/testing/hours'
import { figure, shown } from '@/shared/testing/shown'
import '@/shared/testing/words'
import WindowHours from './WindowHours.vue'

beforeEach(() => setActivePinia(createPinia()))

const passing = { verdict: 'care', limitShortfall: 0.25, depth: 0.4, shortfall: [0, 0.2, 0.4], passing: 20 } as const

const page = (answer: Partial<Hours>) =>
  shown(WindowHours, { job: 'job', surface: 's' }, (queries) => {
    queries.setQueryData(['surface', 's', 'hours', {}], {
      ...hours,
      spraying: figure(7, '7 h 00'),
      cure: figure(4, '4 h 00'),
      ...answer,
    })
    queries.setQueryData(['surface', 's', 'earlier'], { starts: [], tried: ['tent'], noHeaters: false })
  })

it('without a window it says whether hours are missing or only too few of them pass at a stretch', async () => {
  const held = await page({ hours: [hour(0), hour(1)] })
  expect(held.text()).toContain('Nearest: ')
  const short = await page({ hours: [hour(0), hour(1, { ...passing, shortfall: [...passing.shortfall] })] })
  expect(short.text()).toContain('never 7 h 00 of spraying and 4 h 00 of cure at a stretch')
})

it('the hour in hand stays among those that are shown', async () => {
  const screen = await page({ hours: Array.from({ length: 240 }, (_, i) => hour(i)) })
  const days = (n: number) => screen.findAll('button').find((one) => one.text() === `${n} days`)!
  await days(10).trigger('click')
  await screen.get('[role=slider]').trigger('keydown', { key: 'End' })
  expect(screen.get('[role=slider]').attributes('aria-valuenow')).toBe('239')
  await days(3).trigger('click')
  expect(screen.get('[role=slider]').attributes('aria-valuenow')).toBe('71')
  expect(screen.get('[role=slider]').attributes('aria-valuetext')).not.toBe('')
})
