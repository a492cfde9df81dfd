import { createPinia, setActivePinia } from 'pinia'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import { ApiProblem, type Schemas } from '@/shared/api/client'
import { figure, working } from '@/shared/testing/shown'
import FileButton from '@/shared/ui/FileButton.vue'
import CrewCards from './CrewCards.vue'
import PastJobForm from './PastJobForm.vue'
import PastJobImport from './PastJobImport.vue'
import PastJobTable from './PastJobTable.vue'

const server = vi.hoisted(() => ({ ask: vi.fn(), upload: vi.fn(), sent: [] as unknown[] }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: { POST: (...all: unknown[]) => server.sent.push(all), GET: () => null },
  ask: server.ask,
  upload: server.upload,
}))

const plugins = () => [i18n, [VueQueryPlugin, { queryClient: new QueryClient() }]] as never[]

const job = (rest: Partial<Schemas['PastJobAnswer']> = {}): Schemas['PastJobAnswer'] => ({
  id: 'a',
  name: 'Malt floor',
  crew: 'Plover',
  sheetId: 'marl',
  sheet: 'Marl CC-20',
  family: 'closedStandard',
  finishedOn: '2026-06-08',
  figures: {
    substrate: figure(15, '59 °F'),
    meanDepth: figure(0.04, '1 5/8 in'),
    sets: figure(1.9, '1.9 sets'),
    ratio: figure(96, '96 %'),
  },
  ratioPct: 96,
  substrateC: 15,
  winsorised: false,
  jobId: null,
  leftOutBecause: '',
  version: 3,
  ...rest,
})

beforeEach(() => {
  setActivePinia(createPinia())
  sessionStorage.clear()
  server.ask.mockReset()
  server.upload.mockReset()
  server.sent.length = 0
})

describe('the list of finished jobs', () => {
  async function table(jobs: Schemas['PastJobAnswer'][], leaveOut = vi.fn().mockResolvedValue(true), mayEdit = true) {
    const screen = mount(PastJobTable, { props: { jobs, mayEdit, leaveOut }, global: { plugins: plugins() } })
    await flushPromises()
    return screen
  }
  const named = (screen: VueWrapper, text: string) =>
    screen.findAll('button').find((one) => one.text().startsWith(text))!

  it('leaves a job out only with a reason, and closes the field once it was taken', async () => {
    const leaveOut = vi.fn().mockResolvedValue(true)
    const screen = await table([job()], leaveOut)
    await named(screen, 'Leave out').trigger('click')
    await screen.get('input').setValue('A drum leaked')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(leaveOut).toHaveBeenCalledWith(expect.objectContaining({ id: 'a', version: 3 }), 'A drum leaked')
    expect(screen.find('input').exists()).toBe(false)
  })

  it('keeps what was typed when leaving out is refused', async () => {
    const screen = await table([job()], vi.fn().mockResolvedValue(false))
    await named(screen, 'Leave out').trigger('click')
    await screen.get('input').setValue('Off-ratio')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect((screen.get('input').element as HTMLInputElement).value).toBe('Off-ratio')
  })

  it('says why one does not count, and lets it count again', async () => {
    const leaveOut = vi.fn().mockResolvedValue(true)
    const screen = await table(
      [job({ leftOutBecause: 'It rained in' }), job({ id: 'b', winsorised: true }), job({ id: 'c', sheet: '' })],
      leaveOut,
    )
    const rows = screen.findAll('tbody tr')
    expect(rows[0]!.text()).toContain('It rained in')
    expect(rows[1]!.find('.why').exists()).toBe(true)
    expect(rows[2]!.find('.why').exists()).toBe(true)
    await named(screen, 'Count').trigger('click')
    expect(leaveOut).toHaveBeenCalledWith(expect.objectContaining({ id: 'a' }), '')
  })

  it('offers nothing to change to one who may only read', async () => {
    const screen = await table([job()], undefined, false)
    expect(screen.findAll('tbody tr')).toHaveLength(1)
    expect(screen.findAll('button')).toHaveLength(0)
  })
})

describe('finished jobs from a table', () => {
  const screen = () => mount(PastJobImport, { global: { plugins: plugins() } })
  const pick = async (view: ReturnType<typeof screen>) => {
    view.getComponent(FileButton).vm.$emit('files', [new File(['x'], 'jobs.csv')])
    await flushPromises()
  }

  it('shows what the file holds before anything is taken', async () => {
    server.upload
      .mockResolvedValueOnce({ jobs: 12, faults: [], taken: false })
      .mockResolvedValueOnce({ jobs: 12, faults: [], taken: true })
    const view = screen()
    await pick(view)
    expect(server.upload.mock.calls[0]![0]).toContain('take=false')
    expect(view.emitted('taken')).toBeUndefined()
    await view.get('.import .el-button:not(.is-link)').trigger('click')
    await flushPromises()
    expect(server.upload.mock.calls[1]![0]).toContain('take=true')
    expect(view.emitted('taken')).toHaveLength(1)
  })

  it('lists faults by line and offers nothing to take', async () => {
    server.upload.mockResolvedValueOnce({
      jobs: 3,
      faults: [{ line: 4, sentence: 'area: -5 is out of range.' }],
      taken: false,
    })
    const view = screen()
    await pick(view)
    expect(view.get('li').text()).toContain('4')
    expect(view.get('li').text()).toContain('out of range')
    expect(view.find('.import .el-button:not(.is-link)').exists()).toBe(false)
  })

  it('says what became of a file that does not arrive', async () => {
    server.upload.mockRejectedValueOnce(new ApiProblem(0, '', [], null))
    const view = screen()
    await pick(view)
    expect(view.get('[role=alert]').text()).toContain('does not answer')
  })
})

describe('a finished job typed in', () => {
  it('asks for every field it cannot do without, and keeps what was typed when refused', async () => {
    server.ask.mockImplementation((asked: unknown) =>
      asked
        ? Promise.reject(new ApiProblem(400, '', [{ field: 'area', code: 'notANumber', typed: 'wide' }], null))
        : Promise.resolve({ sheets: [] }),
    )
    const screen = mount(PastJobForm, { global: { plugins: plugins() } })
    const inputs = screen.findAll('input')
    await inputs[0]!.setValue('Barn')
    await inputs[3]!.setValue('wide')
    await screen.get('form').trigger('submit')
    await flushPromises()
    const [, { body }] = server.sent.at(-1) as [string, { body: { fields: Record<string, string> } }]
    expect(Object.keys(body.fields)).toEqual(expect.arrayContaining(['product', 'crew', 'lift', 'name']))
    expect(body.fields).not.toHaveProperty('depthReadings')
    expect((screen.findAll('input')[3]!.element as HTMLInputElement).value).toBe('wide')
    expect(screen.emitted('done')).toBeUndefined()
  })
})

describe('what a crew yields', () => {
  const crew = {
    crew: 'Heron',
    family: 'closedStandard',
    jobs: 8,
    factor: { figure: figure(1.02, '1.020'), working },
    low: figure(0.98, '0.980'),
    high: figure(1.06, '1.060'),
    logMean: 0.02,
    logSd: 0.03,
    dataMean: 0.03,
    dataSd: 0.03,
    priorSd: 0.12,
  }

  it('comes with its interval, and with its own scatter once there are readings enough', () => {
    const screen = mount(CrewCards, {
      props: {
        crews: [
          { ...crew, scatter: null },
          { ...crew, crew: 'Plover', scatter: { figure: figure(0.004, '1/8 in'), working } },
        ],
      },
      global: { plugins: plugins() },
    })
    const cards = screen.findAll('article')
    expect(cards[0]!.text()).toContain('0.980')
    expect(cards[0]!.text()).not.toContain('scatter')
    expect(cards[1]!.text()).toContain('vary by 1/8 in')
  })
})
