import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useTakeOff, type TakeOff } from './takeOff'

const remove = vi.fn<(id: string) => Promise<unknown>>(() => Promise.resolve())
let off!: TakeOff
const screen = () =>
  mount({
    setup() {
      off = useTakeOff(remove)
      return () => null
    },
  })

beforeEach(() => {
  vi.useFakeTimers()
  remove.mockClear()
  remove.mockImplementation(() => Promise.resolve())
})
afterEach(() => vi.useRealTimers())

describe('taking a record off', () => {
  it('hides it at once and takes it off for good after a while', async () => {
    screen()
    off.takeOff('a', 'leak')
    expect(off.gone('a')).toBe(true)
    expect(remove).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(9000)
    expect(remove).toHaveBeenCalledExactlyOnceWith('a')
    expect(off.waiting.value).toEqual([])
  })

  it('can be undone until then, and nothing was asked of the server', async () => {
    screen()
    off.takeOff('a', 'leak')
    off.undo('a')
    await vi.advanceTimersByTimeAsync(60_000)
    expect(off.gone('a')).toBe(false)
    expect(remove).not.toHaveBeenCalled()
  })

  it('is done when the screen is left', () => {
    const page = screen()
    off.takeOff('a', 'leak')
    off.takeOff('b', 'flue')
    page.unmount()
    expect(remove.mock.calls.map(([id]) => id)).toEqual(['a', 'b'])
  })

  it('brings the record back where the server refuses', async () => {
    remove.mockImplementation(() => Promise.reject(new Error('no')))
    screen()
    off.takeOff('a', 'leak')
    await vi.advanceTimersByTimeAsync(9000)
    expect(off.gone('a')).toBe(false)
    expect(off.failed.value).toBeInstanceOf(Error)
  })
})
