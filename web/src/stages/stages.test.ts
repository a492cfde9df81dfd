import { mount, RouterLinkStub } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { describe, expect, it } from 'vitest'
import { i18n } from '@/i18n'
import { register, stageKeys, stages, type Say } from '@/shared/state/stages'
import { stageRoutes } from '.'

const say: Say = { t: (key) => key, print: (figure) => figure?.metric ?? '' }
const cell = { stage: 'window' as const, verdict: null, word: 'now', figures: {}, stale: false, missing: null }

describe('stages', () => {
  it('are found by their folders, each under its own name', () => {
    const folders = Object.keys(import.meta.glob('./*/stage.ts')).map((path) => path.split('/')[1])
    const built = stages().flatMap(({ key, built }) => (built ? [key] : []))
    expect([...built].sort()).toEqual(folders.sort())
    expect(stages().every(({ key, built }) => !built || built.key === key)).toBe(true)
  })

  it('have pages under names of their own, which their cells lead to', () => {
    const names = stageRoutes.map((route) => route.name)
    expect(new Set(names).size).toBe(names.length)
    for (const { built } of stages()) {
      if (built)
        expect(built.to('job', 'wall')).toMatchObject({ name: expect.toBeOneOf(names), params: { job: 'job' } })
    }
  })

  it('word their cells out of the catalogue, or by their figures', () => {
    const { t } = i18n.global
    const words = { t: (key: string) => t(key), print: say.print }
    expect(
      stages()
        .find(({ key }) => key === 'window')
        ?.built?.cell(cell, {}, words),
    ).toBe('now')
    expect(
      stages()
        .find(({ key }) => key === 'sets')
        ?.built?.cell(cell, { sets: '3.0 sets' }, words),
    ).toBe('3.0 sets')
    expect(
      stages()
        .find(({ key }) => key === 'choose')
        ?.built?.none?.(words),
    ).toBe(t('system.none'))
  })

  it('come with one more once it registers, at its place in the work', () => {
    const later = stages().find(({ key }) => key === 'handOver')
    expect(later?.built).toBeUndefined()
    const takeOut = register({
      key: 'handOver',
      routes: [],
      to: () => ({ name: 'handOver' }),
      cell: () => 'ready',
      foot: () => '',
    })
    expect(stages().map(({ key }) => key)).toEqual(stageKeys)
    expect(
      stages()
        .find(({ key }) => key === 'handOver')
        ?.built?.cell(cell, {}, say),
    ).toBe('ready')
    takeOut()
    expect(stages().find(({ key }) => key === 'handOver')?.built).toBeUndefined()
  })

  it('may end their column in a component', () => {
    const sets = stages().find(({ key }) => key === 'sets')?.built
    if (!sets || typeof sets.foot === 'function') throw new Error('no component')
    const feet = { sets: { amount: 3, us: '3.0 sets', metric: '3.0 sets' }, cost: null, price: null }
    const foot = mount(sets.foot.is, {
      props: { feet, job: 'job' },
      global: { plugins: [i18n, createPinia()], stubs: { RouterLink: RouterLinkStub } },
    })
    expect(foot.text()).toContain('3.0 sets')
  })
})
