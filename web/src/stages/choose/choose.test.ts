import { createPinia, setActivePinia } from 'pinia'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { i18n } from '@/i18n'
import { figure, finding, worked, working } from '@/shared/testing/shown'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useWorkings } from '@/shared/state/workings'
import CandidateLane from './CandidateLane.vue'
import CandidateWhy from './CandidateWhy.vue'
import FlipStrip from './FlipStrip.vue'
import PlanDrift from './PlanDrift.vue'
import ScoreBar from './ScoreBar.vue'
import { notFirst } from './notFirst'
import type { Candidate } from './useChooseDesk'

const candidate = (rest: Record<string, unknown> = {}) =>
  ({
    id: 'openCell:a',
    kind: 'openCell',
    sketch: [],
    layers: [{ key: 'open', name: 'Fleece OC-5', foam: 'openStandard', thickness: figure(0.14, '5 1/2 in', '140 mm') }],
    boards: [],
    findings: [],
    opinions: [finding('yearInterface', 'dry', 'clear')],
    opinionsDiffer: false,
    scores: [
      {
        part: 'cost',
        value: 0.5,
        share: 0.4,
        measured: figure(1, '4.10'),
        worth: figure(0.5, '0.500'),
        weight: figure(40, '40 %'),
        working,
      },
      {
        part: 'quiet',
        value: 1,
        share: 0.1,
        measured: figure(1, '0.9'),
        worth: figure(1, '1.000'),
        weight: figure(10, '10 %'),
        working,
      },
    ],
    total: worked('0.300'),
    u: worked('U-0.0450', '0.256 W/m²K'),
    meetsTarget: true,
    shortfall: null,
    failsCondensation: false,
    inPractice: true,
    excluded: false,
    dampest: { place: 'osb|foam', humidity: { figure: figure(84, '84 %'), working: null }, untold: null },
    cost: worked('4.10'),
    hours: figure(1, '3 h 00'),
    ...rest,
  }) as unknown as Candidate

const lane = (one: Candidate, rest: Record<string, unknown> = {}) =>
  mount(CandidateLane, {
    props: {
      candidate: one,
      advised: false,
      chosen: false,
      compared: false,
      followed: true,
      mayEdit: true,
      mayOverride: false,
      hasTarget: true,
      ...rest,
    },
    global: { plugins: [i18n] },
  })

const signedInWith = (...rights: string[]) => (useSession().person = { rights } as never)
beforeEach(() => {
  setActivePinia(createPinia())
  signedInWith('look', 'edit', 'price')
})

describe('a system among its rivals', () => {
  it('is picked with one press, and not by one who may only read', async () => {
    const screen = lane(candidate())
    await screen.get('.acts .el-button:not(.is-link)').trigger('click')
    expect(screen.emitted('pick')).toEqual([['']])
    expect(lane(candidate(), { mayEdit: false }).find('.acts .el-button:not(.is-link)').exists()).toBe(false)
    expect(lane(candidate(), { chosen: true }).find('.acts .el-button:not(.is-link)').exists()).toBe(false)
  })

  it('reads in the units of its reader', async () => {
    const screen = lane(candidate())
    expect(screen.text()).toContain('Fleece OC-5 5 1/2 in')
    useReader().units = 'metric'
    await screen.vm.$nextTick()
    expect(screen.text()).toContain('Fleece OC-5 140 mm')
    expect(screen.text()).toContain('0.256 W/m²K')
  })

  it('says what is wrong with it where it stands', () => {
    const screen = lane(
      candidate({ failsCondensation: true, meetsTarget: false, inPractice: false, shortfall: figure(1, 'U-0.0020') }),
    )
    expect(screen.get('.marks').text().split(' · ')).toHaveLength(3)
    expect(screen.text()).toContain('U-0.0020')
    expect(
      lane(candidate({ inPractice: false }), { followed: false })
        .find('.marks')
        .exists(),
    ).toBe(false)
  })

  it('cannot be picked while a rule holds it, and says which', () => {
    const screen = lane(
      candidate({ excluded: true, scores: [], findings: [finding('E3', 'leak', 'hold', { isNumbered: true })] }),
    )
    expect(screen.find('.acts .el-button:not(.is-link)').exists()).toBe(false)
    expect(screen.get('.hold').text()).toContain('E3: ')
    expect(screen.find('.score p').exists()).toBe(false)
  })

  it('goes without a price where one is missing', () => {
    expect(
      lane(candidate({ cost: null }))
        .findAll('dd')[2]!
        .classes(),
    ).toContain('small')
  })

  it('says nothing of money to those who do not price', () => {
    signedInWith('look', 'edit')
    expect(lane(candidate({ cost: null })).text()).not.toContain('no price')
    expect(lane(candidate({ cost: null })).findAll('dd')).toHaveLength(3)
  })

  it('opens its reasons under the button that says so', async () => {
    const screen = lane(candidate())
    const opener = screen.findAll('.acts .is-link')[0]!
    expect(opener.attributes('aria-expanded')).toBe('false')
    await opener.trigger('click')
    expect(screen.find(`#${CSS.escape(opener.attributes('aria-controls')!)}`).exists()).toBe(true)
  })
})

describe('why a system is not the first', () => {
  const scored = (id: string, cost: number, quiet: number, rest = {}) => {
    const base = candidate()
    const scores = base.scores.map((one) => ({ ...one, value: one.part === 'cost' ? cost : quiet }))
    const total = { figure: figure(cost * 0.4 + quiet * 0.1), working }
    return candidate({ id, scores, total, ...rest })
  }
  const first = scored('first', 0.8, 0.8)
  const why = (one: Candidate, best = first) => notFirst(one, best)

  it('names what it scores less in, the part it loses most by first', () => {
    expect(why(scored('b', 0.6, 0.1)).worseIn).toEqual(['cost', 'quiet'])
    expect(why(scored('b', 0.75, 0.1)).worseIn).toEqual(['quiet', 'cost'])
    expect(why(scored('b', 0.5, 1)).worseIn).toEqual(['cost'])
    expect(why(scored('b', 0.8, 0.78)).worseIn).toEqual([])
  })

  it('names what it fails that the first does not, though its score be higher', () => {
    const failing = { failsCondensation: true, meetsTarget: false }
    const none = { failsCondensation: false, fallsShort: false, furtherShort: false, worseIn: [] }
    expect(why(scored('c', 0.9, 0.9, failing))).toEqual({ ...none, failsCondensation: true, fallsShort: true })
    const short = scored('first', 0.5, 0.5, { meetsTarget: false })
    expect(why(scored('d', 0.9, 0.9, { meetsTarget: false }), short)).toEqual({ ...none, furtherShort: true })
  })

  it('stands on its card, and on that of the first nothing', () => {
    expect(lane(scored('b', 0.6, 0.1), { first }).text()).toContain('Not first: worse in cost and quiet.')
    expect(lane(first, { first }).text()).not.toContain('Not first')
  })
})

describe('what is planned', () => {
  const layer = (us: string, metres: number) => ({ ...candidate().layers[0]!, thickness: figure(metres, us, us) })
  const drift = (planned: Candidate['layers'], mayAdopt = true) =>
    mount(PlanDrift, { props: { planned, chosen: candidate(), mayAdopt }, global: { plugins: [i18n] } })

  it('is set against what the system would have today, which one step adopts', async () => {
    const screen = drift([layer('5 in', 0.127)])
    expect(screen.text()).toMatch(/Planned: Fleece OC-5 5 in.*Fleece OC-5 5 1\/2 in/)
    await screen.get('button').trigger('click')
    expect(screen.emitted('adopt')).toHaveLength(1)
    expect(
      drift([layer('5 in', 0.127)], false)
        .find('button')
        .exists(),
    ).toBe(false)
  })

  it('is not told where it reads the same, or where nothing is planned', () => {
    expect(drift([layer('5 1/2 in', 0.13972)]).text()).toBe('')
    expect(drift([]).text()).toBe('')
  })
})

describe('the reasons of a system', () => {
  const why = (one: Candidate, mayOverride = true) =>
    mount(CandidateWhy, { props: { candidate: one, mayOverride }, global: { plugins: [i18n] } })

  it('lead from a part of the score to its working', async () => {
    const screen = why(candidate())
    await flushPromises()
    await screen.get('tbody tr:nth-child(2) .figure').trigger('click')
    expect(useWorkings().trail.map((one) => one.name)).toEqual(['wholeU'])
  })

  it('let a rule of practice be overridden, with a reason and not without', async () => {
    const screen = why(candidate({ excluded: true, findings: [finding('E3', 'leak', 'hold')] }))
    await screen.get('button.is-link').trigger('click')
    expect(screen.get('textarea').attributes('required')).toBeDefined()
    await screen.get('textarea').setValue('Dried and read again')
    await screen.get('form').trigger('submit')
    expect(screen.emitted('pick')).toEqual([['Dried and read again']])
  })

  it('never let be overridden what yields to no reason', () => {
    const depth = finding('E9', 'tooThick', 'hold', { yieldsToReason: false })
    expect(
      why(candidate({ excluded: true, findings: [depth, finding('E3', 'leak', 'hold')] }))
        .find('button.is-link')
        .exists(),
    ).toBe(false)
  })

  it('keep the override from those who may not', () => {
    expect(
      why(candidate({ excluded: true, findings: [finding('E3', 'leak', 'hold')] }), false)
        .find('button.is-link')
        .exists(),
    ).toBe(false)
  })
})

describe('a flip point', () => {
  const flip = (rest: object) => ({
    input: 'depth',
    now: figure(0.1, '4 in'),
    at: figure(0.15, '6 in'),
    apart: figure(0.05, '2 in'),
    above: true,
    low: 0.05,
    high: 0.25,
    winner: 'closedCell:b',
    winnerKind: 'closedCell',
    cause: 'fallsShort',
    rule: null,
    working,
    ...rest,
  })
  const strip = (one: object) =>
    mount(FlipStrip, { props: { flip: one as never, advised: 'Open cell' }, global: { plugins: [i18n] } })

  it('stands on its range where it lies', () => {
    const screen = strip(flip({}))
    expect(screen.get('.now').attributes('style')).toContain('left: 25%')
    expect(screen.get('.at').attributes('style')).toContain('left: 50%')
    expect(screen.get('.far').attributes('style')).toContain('right: 0')
    expect(screen.get('[role=img]').attributes('aria-label')).toContain('6 in')
  })

  it('shades the other end where the change lies below', () => {
    expect(
      strip(flip({ above: false }))
        .get('.far')
        .attributes('style'),
    ).toContain('width: 50%')
  })
})

describe('a score', () => {
  it('is as wide as its parts count, one beside the other', () => {
    const screen = mount(ScoreBar, { props: { scores: candidate().scores }, global: { plugins: [i18n] } })
    const widths = screen.findAll('i').map((one) => one.attributes('style'))
    expect(widths[0]).toContain('width: 20%')
    expect(widths[1]).toContain('left: 20%')
    expect(widths[1]).toContain('width: 10%')
  })
})
