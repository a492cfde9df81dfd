import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import type { Hours } from '@/shared/hours/useHours'
import { hour, hours } from '@/shared/testing/hours'
import { figure, shown } from '@/shared/testing/shown'
import '@/shared/testing/words'
import WindowHours from './WindowHours.vue'

beforeEach(() => setActivePinia(createPinia()))

const passing = { verdict: 'care', limitShortfall: 0.25, depth: 0.4, shortfall: [0, 0.2, 0.4], passing: 20 } as const

type Wash = Schemas['WashAtStartAnswer']
const page = (answer: Partial<Hours>, wash: Wash = { start: null, by: null, next: null }) =>
  shown(WindowHours, { job: 'job', surface: 's' }, (queries) => {
    queries.setQueryData(['surface', 's', 'hours', {}], {
      ...hours,
      spraying: figure(7, '7 h 00'),
      cure: figure(4, '4 h 00'),
      ...answer,
    })
    queries.setQueryData(['job', 'job', 'surfaces'], [])
    queries.setQueryData(['surface', 's', 'months'], { lack: 'place', source: null, months: [] })
    queries.setQueryData(['surface', 's', 'washing'], wash)
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

const drums = (state: string, on: string | null, blanket?: string) => ({
  start: hour(3).start,
  state,
  on,
  into: null,
  figures: {
    a: figure(12, '54 °F'),
    b: figure(11, '52 °F'),
    least: figure(18, '64 °F'),
    greatest: figure(27, '81 °F'),
    ...(blanket ? { blanket: figure(500, blanket) } : {}),
  },
})

it('of drums it says what they will be, and what is to be done', async () => {
  const line = async (...of: Parameters<typeof drums>) => (await page({ drums: drums(...of) as Hours['drums'] })).text()
  expect(await line('inside', null)).toContain('A 54 °F, B 52 °F at')
  expect(await line('unread', null)).toContain('read both')
  expect(await line('inBlankets', hour(1).start, '500 W')).toContain('Blankets of 500 W on by')
  expect(await line('cold', null, '500 W')).toContain('do not bring them there in time')
  expect(await line('cold', null)).toContain('or add drum blankets')
  expect(await line('hot', null)).toContain('allows 81 °F')
})

it('says what readings at the site do to the hours, and what is done about the weather until that is taken back', async () => {
  const air = figure(1, '1.8 °F')
  const correction = { on: true, hours: 1, air, dew: figure(-0.5, '-0.9 °F') }
  const screen = await shown(WindowHours, { job: 'job', surface: 's' }, (queries) => {
    const tent = {
      kind: 'tent',
      start: hour(2).start,
      holding: 19,
      on: null,
      heater: null,
      product: null,
      productId: null,
      figures: {},
    }
    queries.setQueryData(['surface', 's', 'hours', {}], { ...hours, correction })
    queries.setQueryData(['surface', 's', 'hours', { tent: true }], {
      ...hours,
      correction: { ...correction, on: false },
    })
    queries.setQueryData(['surface', 's', 'months'], { lack: 'place', source: null, months: [] })
    queries.setQueryData(['surface', 's', 'earlier'], { starts: [tent], tried: [], noHeaters: false })
  })
  expect(screen.text()).toContain('outdoor readings in 1 hour: 1.8 °F on the air, -0.9 °F on the dew point')
  const press = (text: string) =>
    screen
      .findAll('button')
      .find((one) => one.text() === text)!
      .trigger('click')
  await press('Show the hours with it')
  expect(screen.get('.acted').text()).toContain('Hours with this done: A tent or tarpaulin.')
  expect(screen.text()).toContain('Outdoor readings in 1 hour would add')
  await press('Show the weather alone')
  expect(screen.find('.acted').exists()).toBe(false)
  expect(screen.text()).toContain('Corrected for this site')
})

const after = (rest: Partial<NonNullable<Hours['after']>>) => ({
  sprayedOn: '2026-11-25',
  curedAt: hour(60).start,
  rained: 2,
  coveredOn: '2026-12-08',
  coverBy: '2026-12-09',
  sprayFrom: '2026-11-24',
  verdict: 'clear' as const,
  reachTo: null,
  figures: { sun: figure(30, '30'), rain: figure(14, '14'), open: figure(13, '13') },
  ...rest,
})

it('of an open face it says until when the foam may stand open, and what is to be done', async () => {
  const told = async (rest: Partial<NonNullable<Hours['after']>>) => (await page({ after: after(rest) })).text()
  expect(await told({})).toContain('Covered Dec 8, 2026, 13 days after spraying: in time.')
  const days = { sun: figure(30, '30'), rain: figure(14, '14') }
  expect(await told({ verdict: 'hold', figures: { ...days, open: figure(19, '19') } })).toContain('too late')
  expect(await told({ verdict: 'hold', figures: { ...days, open: figure(-1, '-1') } })).toContain(
    'before it is sprayed',
  )
  expect(await told({ verdict: 'care', coveredOn: null, figures: days })).toContain('Cover or coat it by Dec 9, 2026.')
  const none = await told({ verdict: 'care', coverBy: null, figures: { open: figure(1, '1') } })
  expect(none).toContain('gives no days in the open')
  expect(none).toContain('1 day after spraying.')
  const wet = { ...days, wetLow: figure(2, '2'), wetHigh: figure(5, '5') }
  expect(await told({ figures: wet })).toContain('Rain on 2 to 5 of the days from cure until it is covered.')
  expect(await told({ figures: wet, reachTo: hour(239).start })).toContain('as far as these hours go')
  expect((await page({ after: null })).text()).not.toContain('After spraying')
})

it('of a face that is washed it says by when, and what follows where it does not dry in time', async () => {
  const told = async (wash: Partial<Wash>) =>
    (await page({}, { start: hour(9).start, by: null, next: null, ...wash })).text()
  expect(await told({ by: hour(3).start })).toContain('If the face is washed: by ')
  expect(await told({ next: hour(30).start })).toContain('first start ')
  expect(await told({})).toContain('no start after it in these hours')
  expect((await page({})).text()).not.toContain('washed')
})
