import { QueryObserver } from '@tanstack/vue-query'
import { expect, it } from 'vitest'
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
