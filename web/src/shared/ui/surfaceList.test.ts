import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { BoardRow } from '../state/boardCells'
import { shown } from '../testing/shown'
import SurfaceList from './SurfaceList.vue'

const push = vi.hoisted(() => vi.fn())
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }))

const rows = Array.from(
  { length: 800 },
  (_, i) =>
    ({
      id: `s${i}`,
      name: `Wall ${i}`,
      sketch: [],
      cells: [{ stage: 'window', verdict: 'care' }],
    }) as unknown as BoardRow,
)
const list = (some = rows, rest: object = {}) =>
  shown(SurfaceList, { rows: some, surface: 's3', stage: 'window', to: (id: string) => ({ name: id }), ...rest })
const namesIn = (screen: Awaited<ReturnType<typeof list>>, which = 'a') =>
  screen.findAll(which).map((one) => one.get('span').text())
const screenOf = window as unknown as { happyDOM: { setViewport: (size: { width: number }) => void } }

beforeEach(() => {
  setActivePinia(createPinia())
  screenOf.happyDOM.setViewport({ width: 1024 })
  push.mockReset()
})

describe('the surfaces beside a stage', () => {
  it('are links with their mark, the one in hand told to screen readers', async () => {
    const screen = await list(rows.slice(0, 5))
    expect(namesIn(screen)).toEqual(rows.slice(0, 5).map((row) => row.name))
    expect(namesIn(screen, '[aria-current=page]')).toEqual(['Wall 3'])
    expect(screen.findAll('.mark.care')).toHaveLength(5)
  })

  it('are drawn as far as they are on the screen', async () => {
    const drawn = (await list()).findAll('a')
    expect(drawn.length).toBeGreaterThan(10)
    expect(drawn.length).toBeLessThan(120)
  })

  it('stand as a strip around the one in hand where there is no room beside', async () => {
    screenOf.happyDOM.setViewport({ width: 820 })
    const names = namesIn(await list(rows, { surface: 's400', strip: true }))
    expect(names).toContain('Wall 400')
    expect(names.length).toBeLessThan(120)
    expect(names).toEqual(
      rows
        .slice(rows.findIndex((row) => row.name === names[0]))
        .slice(0, names.length)
        .map((row) => row.name),
    )
  })

  it('are found by a part of their name, and Enter opens the first', async () => {
    const screen = await list()
    await screen.get('input').setValue('all 79')
    expect(namesIn(screen)).toEqual(['Wall 79', ...rows.slice(790).map((row) => row.name)])
    await screen.get('input').trigger('keydown', { key: 'Enter' })
    expect(push).toHaveBeenCalledExactlyOnceWith({ name: 's79' })
    expect(screen.emitted('go')).toHaveLength(1)
  })

  it('say so where no name is like that, and Enter then goes nowhere', async () => {
    const screen = await list()
    await screen.get('input').setValue('cellar')
    await nextTick()
    expect(screen.find('a').exists()).toBe(false)
    expect(screen.text()).toContain('No surface has this in its name.')
    await screen.get('input').trigger('keydown', { key: 'Enter' })
    expect(push).not.toHaveBeenCalled()
  })
})
