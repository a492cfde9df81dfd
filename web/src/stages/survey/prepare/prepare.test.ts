import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { shown } from '@/shared/testing/shown'
import PrepareSection from './PrepareSection.vue'

type Told = (entries: { isIntersecting: boolean }[]) => void
let told: Told = () => {}
beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      constructor(callback: Told) {
        told = callback
      }
      observe() {}
      disconnect() {}
    },
  )
})
afterEach(() => vi.unstubAllGlobals())

const task = (item: string, rest = {}) => ({ item, done: false, assignedTo: '', dueOn: null, forJob: false, ...rest })
const of = {
  surfaceId: 's1',
  name: 'North wall',
  tasks: [task('clean', { done: true }), task('dry', { assignedTo: 'foreman', dueOn: '2026-12-01' })],
}
const section = (long: boolean) => shown(PrepareSection, { job: 'j1', of, long })

describe('what is to be done at a surface of a long list', () => {
  it('stands in words until it comes near the screen, then has its fields', async () => {
    const screen = await section(true)
    expect(screen.findAll('input')).toHaveLength(0)
    expect(screen.findAll('li').map((one) => one.text())).toEqual([
      expect.stringMatching(/^☑ .+/),
      expect.stringMatching(/^☐ .+ foreman Dec 1, 2026$/),
    ])
    const words = screen.findAll('li').map((one) => one.text().replace(/^. | foreman.*$/g, ''))

    told([{ isIntersecting: false }])
    await nextTick()
    expect(screen.findAll('input')).toHaveLength(0)
    told([{ isIntersecting: true }])
    await nextTick()
    expect(screen.findAll('[type=checkbox]')).toHaveLength(2)
    expect(screen.findAll('.tick').map((one) => one.text())).toEqual(words)
  })

  it('has its fields at once in a short list', async () => {
    expect((await section(false)).findAll('[type=checkbox]')).toHaveLength(2)
  })
})
