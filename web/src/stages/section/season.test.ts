import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { shown } from '@/shared/testing/shown'
import SeasonSlider from './SeasonSlider.vue'
import SystemPicker from './SystemPicker.vue'
import { SUMMER, WINTER } from './useSeason'

beforeEach(() => setActivePinia(createPinia()))

describe('the season of the drawing', () => {
  it('is named for who cannot see the slide', async () => {
    const named = async (season: number) =>
      (await shown(SeasonSlider, { modelValue: season, months: true }))
        .get('[role=slider]')
        .attributes('aria-valuetext')
    expect(await named(WINTER)).toBe('Winter design')
    expect(await named(1)).toBe('January')
    expect(await named(12)).toBe('December')
    expect(await named(SUMMER)).toBe('Summer design')
  })

  it('slides through the months between the two designs, or jumps to one of them', async () => {
    const moved = vi.fn()
    const screen = await shown(SeasonSlider, { modelValue: 3, months: true, 'onUpdate:modelValue': moved })
    await screen.get('[role=slider]').trigger('keydown', { code: 'ArrowRight' })
    await screen.findAll('.ticks span')[6]!.trigger('click')
    const [winter, summer] = screen.findAll('button')
    await winter!.trigger('click')
    await summer!.trigger('click')
    expect(moved.mock.calls.map(([season]) => season as number)).toEqual([4, 7, WINTER, SUMMER])
  })

  it('has no months where the place has none', async () => {
    const screen = await shown(SeasonSlider, { modelValue: WINTER, months: false })
    expect(screen.find('[role=slider]').exists()).toBe(false)
    expect(screen.findAll('button').map((button) => button.attributes('aria-pressed'))).toEqual(['true', 'false'])
  })
})

describe('the picker of a system', () => {
  const sheets = [
    { id: 'c', name: 'Marl', cell: 'closed', grade: 'standard' },
    { id: 'o', name: 'Fleece', cell: 'open', grade: 'standard' },
    { id: 'k', name: 'Marl cold', cell: 'closed', grade: 'cold' },
  ]

  it('shows open cell before closed, marks the chosen one and tells which is picked', async () => {
    const picked = vi.fn()
    const screen = await shown(SystemPicker, { sheets, chosen: 'k', disabled: false, onPick: picked })
    expect(screen.findAll('small').map((name) => name.text())).toEqual(['Fleece', 'Marl', 'Marl cold'])
    expect(screen.get('.chosen').text()).toContain('Marl cold')
    await screen.findAll('input')[0]!.trigger('change')
    expect(picked).toHaveBeenCalledWith('o')
  })
})
