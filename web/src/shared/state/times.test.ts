import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { within } from '../testing/shown'
import { useDays, useTimes } from './times'

let timeZone: string | null = null
vi.mock('./job', () => ({ useBoard: () => ({ data: { value: { job: { timeZone } } } }) }))

beforeEach(() => setActivePinia(createPinia()))
const timesIn = (zone: string) => {
  timeZone = zone
  return within(() => useTimes('job'))
}

describe('times of a job', () => {
  it.each([
    ['America/New_York', '2026-11-24T03:30:00Z', 'Nov 23, 2026', '2026-11-23'],
    ['Europe/London', '2026-11-24T03:30:00Z', 'Nov 24, 2026', '2026-11-24'],
    ['Europe/London', '2026-06-30T23:30:00Z', 'Jul 1, 2026', '2026-07-01'],
  ])('in %s read as the clock on the wall there', async (zone, instant, day, date) => {
    const times = await timesIn(zone)
    expect(times.day(instant)).toBe(day)
    expect(times.date(instant)).toBe(date)
  })

  it('are set apart by what the zone says of that day', async () => {
    const times = await timesIn('America/New_York')
    const behind = (iso: string) => (times.wallMs(Date.parse(iso)) - Date.parse(iso)) / 3_600_000
    expect(behind('2026-01-15T12:00:00Z')).toBe(-5)
    expect(behind('2026-07-15T12:00:00Z')).toBe(-4)
    expect(behind('2026-11-01T05:30:00Z')).toBe(-4)
    expect(behind('2026-11-01T06:30:00Z')).toBe(-5)
  })
})

describe('a day of the calendar', () => {
  it('is the same everywhere', async () => {
    const day = await within(() => useDays())
    expect(day('2026-11-23')).toBe('Nov 23, 2026')
    expect(day(null)).toBe('')
    // What was typed and is no day stays as it is, so that it can be put right.
    expect(day('Nov 31')).toBe('Nov 31')
  })
})
