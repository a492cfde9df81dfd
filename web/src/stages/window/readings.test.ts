import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '@/shared/api/client'
import { connection } from '@/shared/keeping/connection'
import { entriesBelongTo } from '@/shared/keeping/entries'
import { keeps, kindOf, type Sent } from '@/shared/keeping/kinds'
import '@/shared/keeping/records'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { fault } from '@/shared/testing/recordServer'
import { figure, finding, shown } from '@/shared/testing/shown'
import GateRule from './GateRule.vue'
import ReadingsForm from './ReadingsForm.vue'

const send = vi.fn<(id: string, sent: Sent) => Promise<unknown>>()
const real = kindOf('reading')!
keeps('reading', { ...real, routes: { '': { send: ({ id }, sent) => send(id, sent) } } })
afterAll(() => keeps('reading', real))

const reading = (kind: string, minutes: number, rest: object = {}) => ({
  kind,
  figure: figure(10, '50 °F', '10 °C'),
  value: 10,
  takenAt: new Date(Date.now() - minutes * 60_000).toISOString(),
  place: '',
  species: '',
  ...rest,
})

const form = (substrateKind: string, readings: object[] = []) =>
  shown(ReadingsForm, { job: 'j', surface: 's', answer: { substrateKind, readings } })

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  document.body.innerHTML = ''
  Object.assign(connection, { lost: false, tries: 0 })
  entriesBelongTo(`person ${Math.random()}`)
  useSession().person = { rights: ['look', 'record', 'edit'] } as never
  send.mockReset().mockResolvedValue({ readings: [] })
})

describe('the form of readings', () => {
  it('asks for moisture of what the substrate is', async () => {
    const names = async (kind: string) => (await form(kind)).findAll('input').map((input) => input.attributes('name'))
    expect(await names('wood')).toEqual(expect.arrayContaining(['wood', 'species', 'correction']))
    expect(await names('mineral')).toContain('concrete')
    expect(await names('metal')).not.toEqual(expect.arrayContaining(['wood']))
  })

  it('tells what was read last, how long ago and where', async () => {
    const readings = [
      reading('substrateTemperature', 5, { place: 'north bay' }),
      reading('airTemperature', 150),
      reading('humidity', 0),
      reading('foundDry', 60 * 24 * 3, { figure: null, value: 1 }),
    ]
    const said = (await form('wood', readings)).text()
    expect(said).toMatch(/50 °F, 5 min ago \(north bay\)/)
    expect(said).toMatch(/50 °F, 3 h ago/)
    expect(said).toMatch(/3 d(ays)? ago/)
  })

  it('sends what was typed as one command of the surface, and nothing while nothing is typed', async () => {
    const screen = await form('wood')
    await screen.find('form').trigger('submit')
    expect(send).not.toHaveBeenCalled()
    await screen.find('[name=substrate]').setValue('52 F')
    await screen.find('[name=air]').setValue('55 F')
    await screen.find('form').trigger('submit')
    await flushPromises()
    expect(send).toHaveBeenCalledTimes(1)
    const [id, sent] = send.mock.calls[0]!
    expect(id).toMatch(/^s\//)
    expect(sent.fields).toMatchObject({ substrate: '52 F', air: '55 F' })
  })

  it('keeps what is wrong at its field', async () => {
    send.mockRejectedValueOnce(new ApiProblem(400, '', [{ ...fault('air'), code: 'notANumber', typed: 'warm' }], null))
    const screen = await form('wood')
    await screen.find('[name=air]').setValue('warm')
    await screen.find('form').trigger('submit')
    await flushPromises()
    expect(screen.find('[name=air]').attributes('aria-invalid')).toBe('true')
    const described = screen.get('[name=air]').attributes('aria-describedby')
    expect(screen.get(`[id="${described}"]`).text()).toContain('“warm” is not a number')
    expect((screen.find('[name=air]').element as HTMLInputElement).value).toBe('warm')
  })

  it('lets one who may only look type nothing', async () => {
    useSession().person = { rights: ['look'] } as never
    expect((await form('wood')).findAll('input').every((input) => input.attributes('disabled') !== undefined)).toBe(
      true,
    )
  })
})

describe('a rule of the gate', () => {
  it('shows reading, limit and margin in the units of the reader', async () => {
    const rule = finding('G1', 'outside', 'hold', {
      measured: figure(-1, '30 °F', '-1 °C'),
      limit: figure(4, '39 °F', '4 °C'),
      margin: figure(-5, '-9 °F', '-5 K'),
    })
    const told = async () => (await shown(GateRule, { finding: rule })).findAll('dd').map((part) => part.text())
    expect(await told()).toEqual(['30 °F', '39 °F', '-9 °F'])
    useReader().units = 'metric'
    expect(await told()).toEqual(['-1 °C', '4 °C', '-5 K'])
  })

  it('opens the working from what was computed, from the first reading on', async () => {
    const screen = await shown(GateRule, { finding: finding('G3', 'unread', 'hold', { measured: null, limit: null }) })
    expect(screen.find('h3 button').exists()).toBe(false)
    const read = { figures: { dew: figure(1, '34 °F') }, working: { name: 'dewDistance' } }
    await screen.setProps({ finding: finding('G3', 'apart', 'clear', read) })
    expect(screen.find('h3 button').exists()).toBe(true)
  })

  it('shows no figures where nothing has been read', async () => {
    const screen = await shown(GateRule, { finding: finding('G1', 'unread', 'hold', { measured: null }) })
    expect(screen.find('dl').exists()).toBe(false)
  })
})
