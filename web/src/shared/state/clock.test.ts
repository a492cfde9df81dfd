import { beforeEach, describe, expect, it, vi } from 'vitest'
import { clockIs, heardAt, isDemoClock, nowMs } from './clock'

const DEVICE = Date.parse('2030-06-01T12:00:00Z')
const at = (iso: string) => Date.parse(iso)

beforeEach(() => {
  vi.useFakeTimers({ now: DEVICE })
  clockIs({ now: '2026-11-23T12:40:00Z', rate: 1, demo: true })
})

describe('the clock of the product', () => {
  it('is the server’s, whatever this device shows', () => {
    expect(nowMs()).toBe(at('2026-11-23T12:40:00Z'))
    vi.setSystemTime(DEVICE + 90_000)
    expect(nowMs()).toBe(at('2026-11-23T12:41:30Z'))
    expect(isDemoClock()).toBe(true)
  })

  it('goes at the rate that was set', () => {
    clockIs({ now: '2026-11-23T12:40:00Z', rate: 60, demo: true })
    vi.setSystemTime(DEVICE + 60_000)
    expect(nowMs()).toBe(at('2026-11-23T13:40:00Z'))
  })

  it('is set right by every answer that says its time, and by no other', () => {
    heardAt('2026-11-23T15:00:00Z')
    expect(nowMs()).toBe(at('2026-11-23T15:00:00Z'))
    heardAt(null)
    heardAt('not a time')
    expect(nowMs()).toBe(at('2026-11-23T15:00:00Z'))
  })
})
