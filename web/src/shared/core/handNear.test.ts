import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { shown } from '../testing/shown'
import { useBrowserCore } from './computeSection'

const stock = vi.hoisted(() => vi.fn())
vi.mock('./browserCore', () => ({ supplyCore: stock, clearOther: () => undefined, sectionHere: () => null }))

const Desk = defineComponent({
  setup() {
    useBrowserCore(() => 'job')
    return () => h('i')
  },
})
const desk = () => shown(Desk, {}, (queries) => queries.setQueryData(['supplies', 'job'], 'the supplies'))

beforeEach(() => {
  setActivePinia(createPinia())
  stock.mockReset()
})

describe('the core in the browser', () => {
  it('is fetched for a hand that comes near, and not for one who only reads', async () => {
    await desk()
    expect(stock).not.toHaveBeenCalled()
    globalThis.dispatchEvent(new Event('pointermove'))
    await flushPromises()
    expect(stock).toHaveBeenCalledWith('the supplies')
  })

  it('is not fetched for a page that has been left', async () => {
    ;(await desk()).unmount()
    globalThis.dispatchEvent(new Event('keydown'))
    await flushPromises()
    expect(stock).not.toHaveBeenCalled()
  })
})
