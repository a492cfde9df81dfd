import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { useSignals } from './useSignals'

const vibrate = vi.fn()
const started: number[] = []

beforeEach(() => {
  localStorage.clear()
  vibrate.mockReset()
  started.length = 0
  vi.stubGlobal('navigator', { vibrate })
  vi.stubGlobal(
    'AudioContext',
    class {
      currentTime = 0
      destination = {}
      close = () => Promise.resolve()
    },
  )
  vi.stubGlobal(
    'OscillatorNode',
    class {
      constructor(
        _: unknown,
        private readonly options: { frequency: number },
      ) {}
      connect = (to: unknown) => to
      start = () => started.push(this.options.frequency)
      stop = () => undefined
    },
  )
  vi.stubGlobal(
    'GainNode',
    class {
      connect = (to: unknown) => to
    },
  )
})
afterEach(() => vi.unstubAllGlobals())

it('is still until it is switched on, and each of the two by itself', async () => {
  const signals = useSignals()
  signals.tapped()
  signals.due()
  expect([vibrate.mock.calls.length, started.length]).toEqual([0, 0])
  signals.sounds.value = true
  signals.due()
  expect([vibrate.mock.calls.length, started.length]).toEqual([0, 1])
  signals.vibrates.value = true
  signals.tapped()
  signals.due()
  expect([vibrate.mock.calls.length, started.length]).toEqual([2, 2])
  await nextTick()

  // The next who opens the page on this device finds it as it was left.
  expect(useSignals().vibrates.value).toBe(true)
})

it('does without a motor where there is none', () => {
  vi.stubGlobal('navigator', {})
  const signals = useSignals()
  signals.vibrates.value = true
  expect(() => signals.due()).not.toThrow()
})
