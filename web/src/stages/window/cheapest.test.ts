import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { hour, hours } from '@/shared/testing/hours'
import { figure, shown } from '@/shared/testing/shown'
import '@/shared/testing/words'
import CheapestStart from './CheapestStart.vue'
import MonthStrip from './MonthStrip.vue'

beforeEach(() => setActivePinia(createPinia()))

const set = (rest: object) => ({
  tent: false,
  product: null,
  productId: null,
  heater: null,
  on: null,
  start: hour(2).start,
  holding: 9,
  limit: 'humidity',
  figures: {},
  ...rest,
})

const page = (answer: object) =>
  shown(CheapestStart, { job: 'job', surface: 's', hours }, (queries) =>
    queries.setQueryData(['surface', 's', 'cheapest', '2026-11-24'], { noHeaters: false, cheaper: [], ...answer }),
  )

async function before(day: string, answer: object) {
  const screen = await page(answer)
  const vm = screen.getComponent(CheapestStart).vm as unknown as { day: string }
  vm.day = day
  await screen.vm.$nextTick()
  return screen
}

it('tells the cheapest set with its cost, and of each that costs less why it does not do', async () => {
  const heat = {
    power: figure(60000, '200 kBtu/h'),
    hold: figure(9, '48 °F'),
    heat: figure(1, '494 kWh'),
    cost: figure(79, '$79'),
  }
  const opened = set({ heater: 'indirect', on: hour(1).start, holding: 17, limit: null, figures: heat })
  const cheaper = [set({}), set({ tent: true, limit: null }), set({ product: 'Marl CC-20F', start: null })]
  const text = (await before('2026-11-24', { opened, cheaper })).text()
  expect(text).toContain('Indirect heat, 200 kBtu/h from')
  expect(text).toMatch(/holds in 17 of 21 runs: 494 kWh, \$79\./)
  expect(text).toMatch(/Wait for the weather: at best .*, in 9 of 21 runs; most others are held by humidity\./)
  expect(text).toMatch(/A tent or tarpaulin: at best .*, in 9 of 21 runs\./)
  expect(text).toContain('Marl CC-20F, as it is: nobody works before that day.')
  expect(text).toContain('mind fire and carbon monoxide')
})

it('says so where nothing opens a start', async () => {
  const text = (
    await before('2026-11-24', { opened: null, cheaper: [set({ heater: 'propane' })], noHeaters: true })
  ).text()
  expect(text).toContain('Nothing opens a start before')
  expect(text).toContain('Heat: at best')
  expect(text).toContain('no heater of this kind was entered')
})

it('tells months together that the same rule holds', async () => {
  const months = Array.from({ length: 12 }, (_, i) => ({
    month: i + 1,
    open: figure(i < 3 ? 10 : 100, i < 3 ? '10 %' : '100 %'),
    limit: i < 2 ? 'substrate' : i === 2 ? 'wind' : null,
  }))
  const screen = await shown(MonthStrip, { job: 'job', surface: 's' }, (queries) =>
    queries.setQueryData(['surface', 's', 'months'], { lack: null, source: 'generatedYear', months }),
  )
  expect(screen.findAll('li')).toHaveLength(12)
  expect(screen.text()).toContain("Jan to Feb: the substrate's temperature; Mar: gusts.")
  expect(screen.text()).toContain("Made from the place's monthly means")
})
