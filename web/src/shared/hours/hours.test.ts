import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'
import '../testing/words'
import { hours } from '../testing/hours'
import { shown, within } from '../testing/shown'
import HourStrip from './HourStrip.vue'
import { useHourWords } from './useHours'

beforeEach(() => setActivePinia(createPinia()))

it('words of an hour tell reading and limit of a hold, what is wanted beyond a margin that is met, and nothing of a clear hour', async () => {
  const words = await within(() => useHourWords('job', ref(hours)))
  const told = hours.hours.map((one) => words.told(one))
  expect(told[0]).toMatch(/Hold\. Substrate 34 °F, dew point 33 °F: 1 °F apart, 5\.4 °F needed\.$/)
  expect(told[1]).toMatch(/Care\. .*clear from 9 °F\.$/)
  // The middle run is well enough: it is not its figures that hold the hour.
  expect(told[2]).toMatch(/Hold\. In 6 of 21 runs the substrate is too close to the dew point\.$/)
  expect(told[3]).toMatch(/Clear\.$/)
  expect(words.sun(hours.hours[0]!)).toMatch(/^Sunrise .*12.*, sunset .*31/)
  expect(told[4]).toContain('the forecast does not tell this hour')
})

describe('the strip', () => {
  it('goes through the hours by keys and stays within them', async () => {
    const strip = await shown(HourStrip, { job: 'job', hours, count: 72, at: 0 })
    const slider = strip.get('[role=slider]')
    for (const [key, at] of [
      ['ArrowLeft', 0],
      ['ArrowRight', 1],
      ['End', 4],
      ['ArrowRight', 4],
      ['PageDown', 0],
      ['PageUp', 4],
      ['Home', 0],
    ] as const) {
      await slider.trigger('keydown', { key })
      const moved = strip.emitted<[number]>('update:at')?.at(-1)?.[0] ?? 0
      await strip.setProps({ at: moved })
      expect([key, slider.attributes('aria-valuenow')]).toEqual([key, String(at)])
    }
  })

  it('hangs a shadow as deep as the middle falls short, and a dotted one where nothing is told', async () => {
    const strip = await shown(HourStrip, { job: 'job', hours, count: 72, at: 0 })
    const heights = strip.findAll('g .dark').map((one) => Number(one.attributes('height')))
    expect(heights).toEqual([80, 40, 70, 0])
    expect(strip.findAll('g [fill="url(#untold)"]')).toHaveLength(1)
  })
})
