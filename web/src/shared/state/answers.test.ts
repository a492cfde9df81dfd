import { QueryObserver } from '@tanstack/vue-query'
import { expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/client'
import { answersOf } from './answers'

it('asks again what was asked before a change and had not been answered', async () => {
  const answers = answersOf()
  let kept = 'before'
  const waiting: (() => void)[] = []
  const ask = async () => {
    const seen = kept
    await new Promise<void>((go) => waiting.push(go))
    return seen
  }
  const page = new QueryObserver(answers, { queryKey: ['choice'], queryFn: ask })
  const leave = page.subscribe(() => {})
  await expect.poll(() => waiting.length).toBe(1)
  kept = 'after'
  void answers.invalidateQueries({ queryKey: ['choice'] })
  await expect.poll(() => waiting.length).toBe(2)
  waiting.forEach((go) => go())
  await expect.poll(() => page.getCurrentResult().data).toBe('after')
  leave()
})

it('lets what is only marked as old come in', async () => {
  const answers = answersOf()
  let go!: (text: string) => void
  const page = new QueryObserver(answers, { queryKey: ['list'], queryFn: () => new Promise<string>((on) => (go = on)) })
  const leave = page.subscribe(() => {})
  await answers.invalidateQueries({ queryKey: ['list'], refetchType: 'none' })
  go('here')
  await expect.poll(() => page.getCurrentResult().data).toBe('here')
  leave()
})

const ONE_BY_ONE = { defaultOptions: { queries: { retry: false } } }

it.each([0, 502, 503, 429])('goes on by itself once there is an answer again (%i)', async (status) => {
  vi.useFakeTimers()
  const answers = answersOf(ONE_BY_ONE)
  const outcomes = [status, status, 200]
  const queryFn = async () => {
    const outcome = outcomes.shift()!
    if (outcome !== 200) throw new ApiProblem(outcome, '', [], null)
    return 'here'
  }
  const page = new QueryObserver(answers, { queryKey: ['board'], queryFn })
  const leave = page.subscribe(() => {})
  await vi.advanceTimersByTimeAsync(1_000)
  expect(page.getCurrentResult().isError).toBe(true)
  await vi.advanceTimersByTimeAsync(10_000)
  expect(page.getCurrentResult().data).toBe('here')
  expect(outcomes).toEqual([])
  leave()
  vi.useRealTimers()
})

it('does not ask again what was refused', async () => {
  vi.useFakeTimers()
  const answers = answersOf(ONE_BY_ONE)
  const queryFn = vi.fn(() => Promise.reject(new ApiProblem(404, '', [], null)))
  const leave = new QueryObserver(answers, { queryKey: ['board'], queryFn }).subscribe(() => {})
  await vi.advanceTimersByTimeAsync(60_000)
  expect(queryFn).toHaveBeenCalledOnce()
  leave()
  vi.useRealTimers()
})
