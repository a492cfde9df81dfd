import { createPinia, setActivePinia } from 'pinia'
import { ref } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Typed } from '@/shared/state/typed'
import { figure, shown } from '@/shared/testing/shown'
import PickOne from '@/shared/ui/PickOne.vue'
import LayersEditor from './LayersEditor.vue'

const choices = {
  materials: ['gypsum-board', 'osb', 'retarder-paint'],
  usualMm: { 'gypsum-board': 12.7, osb: 11.1, 'retarder-paint': 0.1 },
}
const layers = [
  { material: 'osb', thickness: figure(0.0111, '7/16 in', '11 mm') },
  { material: 'gypsum-board', thickness: figure(0.0127, '1/2 in', '13 mm') },
]

async function editor() {
  const typed = {
    drafts: ref<Record<string, string>>({}),
    faults: ref({}),
    type: vi.fn(),
    put: vi.fn(),
    commit: vi.fn(),
  }
  const screen = await shown(
    LayersEditor,
    { typed: typed as unknown as Typed, field: 'inboard', layers, locked: false },
    (queries) => queries.setQueryData(['choices'], choices),
  )
  return { typed, screen }
}

beforeEach(() => setActivePinia(createPinia()))

describe('layers of an assembly', () => {
  it('are kept as one list', async () => {
    const { typed, screen } = await editor()
    await screen.findAll('input.el-input__inner')[1]!.setValue('5/8 in')
    expect(typed.type).toHaveBeenCalledWith('inboard', 'osb | 7/16 in; gypsum-board | 5/8 in')
    typed.drafts.value = { inboard: 'osb | 7/16 in; gypsum-board | 5/8 in' }
    await screen.vm.$nextTick()
    expect(screen.findAll<HTMLInputElement>('input.el-input__inner').map((input) => input.element.value)).toEqual([
      '7/16 in',
      '5/8 in',
    ])
  })

  it('take another material in its own thickness where the two are far apart, else as it was typed', async () => {
    const { typed, screen } = await editor()
    await screen.findAllComponents(PickOne)[1]!.setValue('retarder-paint')
    expect(typed.put).toHaveBeenLastCalledWith({ inboard: 'osb | 7/16 in; retarder-paint | 0.1 mm' })
    await screen.findAllComponents(PickOne)[1]!.setValue('osb')
    expect(typed.put).toHaveBeenLastCalledWith({ inboard: 'osb | 7/16 in; osb | 1/2 in' })
  })

  it('are moved, taken off and added', async () => {
    const { typed, screen } = await editor()
    const press = (label: RegExp) =>
      screen
        .findAll('button')
        .find((button) => label.test(button.attributes('aria-label') ?? button.text()))!
        .trigger('click')
    await press(/outward/)
    expect(typed.put).toHaveBeenLastCalledWith({ inboard: 'gypsum-board | 1/2 in; osb | 7/16 in' })
    await press(/^Delete layer 1/)
    expect(typed.put).toHaveBeenLastCalledWith({ inboard: 'gypsum-board | 1/2 in' })
    await press(/^Add/)
    expect(typed.put).toHaveBeenLastCalledWith({
      inboard: 'osb | 7/16 in; gypsum-board | 1/2 in; gypsum-board | 12.7 mm',
    })
  })
})
