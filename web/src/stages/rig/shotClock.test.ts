import { effectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useShotClock } from './shotClock'

describe('the large button', () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ['performance', 'setInterval', 'clearInterval'] }))
  afterEach(() => void vi.useRealTimers())

  function begin() {
    const taken: [string, number][] = []
    const scope = effectScope()
    const clock = scope.run(() => useShotClock((what, seconds) => taken.push([what, Math.round(seconds * 10) / 10])))!
    return { taken, clock, scope }
  }

  it('starts, takes cream, rise and tack-free in their order, and stops', () => {
    const { taken, clock } = begin()
    clock.press()
    for (const wait of [1500, 2500, 5000]) {
      vi.advanceTimersByTime(wait)
      clock.press()
    }
    expect(taken).toEqual([
      ['cream', 1.5],
      ['rise', 4],
      ['tackFree', 9],
    ])
    expect(clock.runs.value).toBe(false)
  })

  it('begins anew when it is pressed again, with nothing taken over from before', () => {
    const { taken, clock } = begin()
    clock.press()
    vi.advanceTimersByTime(2000)
    clock.press()
    clock.stop()
    clock.press()
    expect(clock.next.value).toBe('cream')
    vi.advanceTimersByTime(700)
    clock.press()
    expect(taken.at(-1)).toEqual(['cream', 0.7])
  })

  it('stops by itself when nobody comes back to it', () => {
    const { taken, clock } = begin()
    clock.press()
    vi.advanceTimersByTime(601_000)
    expect(clock.runs.value).toBe(false)
    expect(taken).toEqual([])
  })

  it('ends with its page', () => {
    const { clock, scope } = begin()
    clock.press()
    scope.stop()
    expect(clock.runs.value).toBe(false)
  })
})
