import type { QueryClient } from '@tanstack/vue-query'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { shown } from '@/shared/testing/shown'
import OwnAccessView from '@/signin/OwnAccessView.vue'
import SecondStepPanel from '@/signin/SecondStepPanel.vue'
import SignInForm from '@/signin/SignInForm.vue'
import PeopleView from './PeopleView.vue'
import ProgramsPanel from './ProgramsPanel.vue'
import SecurityBook from './SecurityBook.vue'

const server = vi.hoisted(() => ({ ask: vi.fn() }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: Object.fromEntries(
    ['GET', 'POST', 'PUT', 'DELETE'].map((method) => [
      method,
      (path: string, rest?: object) => ({ asked: `${method} ${path}`, ...rest }),
    ]),
  ),
  ask: server.ask,
}))

const router = vi.hoisted(() => ({ replace: vi.fn() }))
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ query: { to: '/stock' } }),
  useRouter: () => router,
}))

const person = (rest: object) => ({
  id: 'p1',
  signInName: 'lead@firm.example',
  title: 'crew lead',
  role: 'crewLead',
  isActive: true,
  isErased: false,
  hasSecondStep: false,
  sessions: 2,
  seenAt: '2026-11-28T11:00:00Z',
  ...rest,
})
const people = (...all: object[]) => ({
  people: all,
  roles: { owner: ['look', 'manage'], estimator: ['look'], crewLead: ['look'], helper: ['look'], viewer: ['look'] },
  codesFor: 'whoWants',
})
const device = (rest: object) => ({
  id: 's1',
  device: 'Android',
  startedAt: '2026-11-28T06:00:00Z',
  seenAt: '2026-11-28T11:00:00Z',
  isThis: true,
  ...rest,
})
const answers = (by: Record<string, unknown>) =>
  server.ask.mockImplementation(({ asked }: { asked: string }) => {
    const answer = {
      'GET /api/tokens': { secret: null, tokens: [] },
      'GET /api/security-events': [],
      'GET /api/session/second-step': { isSetUp: false, isAsked: false, sparesLeft: 0 },
      ...by,
    }[asked]
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
  })

beforeEach(() => {
  setActivePinia(createPinia())
  useSession().person = { id: 'p0', signInName: 'owner@firm.example', rights: ['manage'] } as never
})

describe('the people of a firm', () => {
  it('are shown with what they may do, and whether they are signed in', async () => {
    answers({ 'GET /api/people': people(person({}), person({ id: 'p0', title: 'owner', role: 'owner', sessions: 0 })) })
    const screen = await shown(PeopleView)
    expect(screen.findAll('.people li').map((one) => one.text())).toEqual([
      expect.stringContaining('2 devices'),
      expect.stringContaining('you'),
    ])
    const rows = screen
      .findAll('tbody tr')
      .map((row) => row.findAll('td:not([role=rowheader])').map((one) => one.text()))
    expect(rows).toEqual([
      ['●', '●', '●', '●', '●'],
      ['●', '–', '–', '–', '–'],
    ])
  })

  it('stay as they were where the server refuses, and it is said why', async () => {
    answers({
      'GET /api/people': people(person({})),
      'PUT /api/people/{id}/active': new ApiProblem(409, 'A firm needs an owner.', [], null),
    })
    const screen = await shown(PeopleView)
    await screen.get('.el-switch').trigger('click')
    await flushPromises()
    expect(screen.get('[role=alert]').text()).toBe('A firm needs an owner.')
    expect(screen.get('.el-switch').classes()).toContain('is-checked')
  })
})

describe('a token', () => {
  const token = {
    id: 't1',
    name: 'Sheet',
    role: 'viewer',
    expiresAt: '2027-02-01T00:00:00Z',
    lastUsedAt: null,
    lasts: true,
  }

  it('is made with a name, and its secret is shown once and kept nowhere', async () => {
    answers({ 'POST /api/tokens': { secret: 'a1b2c3', tokens: [token] } })
    let queries: QueryClient | undefined
    const screen = await shown(ProgramsPanel, {}, (client) => (queries = client))
    await screen.get('form').trigger('submit')
    expect(screen.get('em.fault').text()).toBe('This is required.')
    const [name, days] = screen.findAll('input.el-input__inner')
    await name!.setValue('Sheet')
    await days!.setValue('a year')
    await screen.get('form').trigger('submit')
    expect(screen.findAll('em.fault').map((one) => one.text())).toEqual(['A whole number of days, 1 to 365.'])
    await days!.setValue('30')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(screen.get('code').text()).toBe('a1b2c3')
    expect(screen.get('li').text()).toContain('never used')
    expect(JSON.stringify(queries!.getQueryData(['tokens']))).not.toContain('a1b2c3')
  })
})

describe('the book of what happened', () => {
  it('says what, who and about what, newest first', async () => {
    answers({
      'GET /api/security-events': [
        { id: 'e1', at: '2026-11-28T11:00:00Z', kind: 'roleChanged', by: 'owner', about: 'lead: CrewLead → Helper' },
        { id: 'e2', at: '2026-11-28T10:00:00Z', kind: 'signInFailed', by: 'crew lead', about: 'lead' },
      ],
    })
    const screen = await shown(SecurityBook)
    expect(
      screen.findAll('tbody tr').map((row) =>
        row
          .findAll('td')
          .slice(1)
          .map((one) => one.text()),
      ),
    ).toEqual([
      ['role changed', 'owner', 'lead: CrewLead → Helper'],
      ['wrong password or code', 'crew lead', 'lead'],
    ])
    expect(screen.text()).not.toContain('Earlier')
  })
})

describe('one’s own sign-in', () => {
  it('asks for both passwords before it asks the server', async () => {
    answers({ 'GET /api/session/devices': [device({})] })
    const screen = await shown(OwnAccessView)
    await screen.get('form').trigger('submit')
    expect(
      screen
        .get('form')
        .findAll('em.fault')
        .map((one) => one.text()),
    ).toEqual(['This is required.', 'This is required.'])
    expect(server.ask).not.toHaveBeenCalledWith(expect.objectContaining({ asked: 'PUT /api/session/password' }))
  })

  it('forgets what was typed once the password is changed', async () => {
    answers({ 'GET /api/session/devices': [device({})] })
    const screen = await shown(OwnAccessView)
    const [current, next] = screen.findAll('input[type=password]')
    await current!.setValue('old')
    await next!.setValue('seven grey herons')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(server.ask).toHaveBeenCalledWith(
      expect.objectContaining({ body: { current: 'old', next: 'seven grey herons' } }),
    )
    expect(screen.text()).toContain('The password is changed.')
    expect((current!.element as HTMLInputElement).value).toBe('')
  })

  it('offers to sign out elsewhere only where one is signed in elsewhere', async () => {
    answers({
      'GET /api/session/devices': [device({}), device({ id: 's2', device: '', isThis: false })],
      'DELETE /api/session/devices': [device({})],
    })
    const screen = await shown(OwnAccessView)
    const everywhere = () => screen.findAll('button').find((button) => button.text() === 'Sign out everywhere else')
    expect(screen.text()).toContain('unknown device')
    await everywhere()!.trigger('click')
    await flushPromises()
    expect(screen.findAll('.devices li').length).toBe(1)
    expect(everywhere()).toBeUndefined()
  })

  it('signs out on one other device, and offers it for no other than those', async () => {
    answers({
      'GET /api/session/devices': [
        device({}),
        device({ id: 's2', device: '', isThis: false }),
        device({ id: 's3', isThis: false }),
      ],
      'DELETE /api/session/devices/{id}': [device({}), device({ id: 's3', isThis: false })],
    })
    const screen = await shown(OwnAccessView)
    expect(screen.findAll('.devices button').length).toBe(2)
    await screen.findAll('.devices button')[0]!.trigger('click')
    await flushPromises()
    expect(server.ask).toHaveBeenCalledWith(expect.objectContaining({ params: { path: { id: 's2' } } }))
    expect(screen.findAll('.devices li').length).toBe(2)
  })
})

describe('a code besides the password', () => {
  const key = { key: 'ABCDEFGHIJ', link: 'otpauth://totp/one', picture: 'data:image/svg+xml;base64,' }
  const on = { isSetUp: true, isAsked: false, sparesLeft: 8 }
  const typeInto = async (screen: Awaited<ReturnType<typeof shown>>, text: string) => {
    await screen.get('input').setValue(text)
    await screen.get('form').trigger('submit')
    await flushPromises()
  }

  it('is set up with the password and a first code, and the spare codes are shown', async () => {
    answers({
      'POST /api/session/second-step': key,
      'PUT /api/session/second-step': { codes: ['12345-67890'] },
    })
    const screen = await shown(SecondStepPanel)
    await screen.get('form').trigger('submit')
    expect(screen.get('em.fault').text()).toBe('This is required.')
    await typeInto(screen, 'mine')
    expect(screen.text()).toContain('ABCD EFGH IJ')
    answers({
      'GET /api/session/second-step': on,
      'PUT /api/session/second-step': { codes: ['12345-67890'] },
    })
    await typeInto(screen, '123456')
    expect(screen.get('.spares').text()).toBe('12345-67890')
    expect(screen.text()).toContain('8 spare codes left')
    expect(screen.emitted('changed')).toHaveLength(1)
  })

  it('stays where the firm asks for it', async () => {
    answers({ 'GET /api/session/second-step': { ...on, isAsked: true } })
    const screen = await shown(SecondStepPanel)
    expect(screen.text()).toContain('Your firm asks for it')
    expect(screen.findAll('button').map((one) => one.text())).toEqual(['Set it up again'])
  })

  it('is asked for at sign-in once the password is right, and a wrong one is typed anew', async () => {
    const next = (detail: string) => new ApiProblem(401, detail, [], null, { needsCode: true })
    answers({ 'POST /api/session': next('Type the code.') })
    useSession().person = null
    const screen = await shown(SignInForm)
    const [name, password] = screen.findAll('input')
    await name!.setValue('lead')
    await password!.setValue('mine')
    expect(screen.findAll('input')).toHaveLength(2)
    await screen.get('form').trigger('submit')
    await flushPromises()
    const code = () => screen.get('input[autocomplete=one-time-code]')
    expect(document.activeElement).toBe(code().element)
    expect([screen.get('[role=status]').text(), screen.get('[role=alert]').text()]).toEqual(['Type the code.', ''])
    answers({ 'POST /api/session': new ApiProblem(429, 'Wait.', [], null) })
    await code().setValue('222222')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect((code().element as HTMLInputElement).value).toBe('222222')
    answers({ 'POST /api/session': next('That code is not right.') })
    await code().setValue('111111')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(server.ask).toHaveBeenLastCalledWith(
      expect.objectContaining({ body: { signInName: 'lead', password: 'mine', code: '111111' } }),
    )
    expect([(code().element as HTMLInputElement).value, screen.get('[role=alert]').text()]).toEqual([
      '',
      'That code is not right.',
    ])
  })
})

describe('what has to be done before anything else', () => {
  it('is said, and whoever has done it goes on to where they were going', async () => {
    const asked = { id: 'p0', rights: [], task: 'ownPassword', clock: { now: '2026-11-28T11:00:00Z', rate: 1 } }
    answers({ 'GET /api/session/devices': [device({})], 'GET /api/session': { ...asked, task: null } })
    useSession().person = asked as never
    const screen = await shown(OwnAccessView)
    expect(screen.get('.task').text()).toContain('Choose your own')
    const [current, next] = screen.findAll('input[type=password]')
    await current!.setValue('given')
    await next!.setValue('seven grey herons')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(router.replace).toHaveBeenCalledWith('/stock')
  })
})
