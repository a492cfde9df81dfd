import { createPinia, setActivePinia } from 'pinia'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { i18n } from '@/i18n'
import type { Finding } from '../api/client'
import { figure, working } from '../testing/shown'
import { useReader } from '../state/reader'
import { useWorkings } from '../state/workings'
import FigureText from './FigureText.vue'
import FindingsList from './FindingsList.vue'
import FormulaText from './FormulaText.vue'
import VerdictMark from './VerdictMark.vue'

const global = { plugins: [i18n] }

beforeEach(() => setActivePinia(createPinia()))

describe('a verdict mark', () => {
  it.each([
    ['clear', 'Clear'],
    ['care', 'Care'],
    ['hold', 'Hold'],
    [null, 'Not there yet'],
  ] as const)('says %s in words too', (verdict, word) => {
    expect(mount(VerdictMark, { props: { verdict }, global }).get('svg').attributes('aria-label')).toBe(word)
    const spoken = mount(VerdictMark, { props: { verdict, word: true }, global })
    expect(spoken.text()).toBe(word)
    expect(spoken.get('svg').attributes('aria-hidden')).toBe('true')
  })

  it('is told apart by shape, not by colour alone', () => {
    const shapes = (['clear', 'care', 'hold', null] as const).map((verdict) =>
      mount(VerdictMark, { props: { verdict }, global })
        .get('svg')
        .html()
        .replace(/<title>.*<\/title>|aria-label="[^"]*"/g, ''),
    )
    expect(new Set(shapes).size).toBe(4)
  })
})

describe('a figure', () => {
  it('follows the units of the reader at once', async () => {
    const text = mount(FigureText, { props: { figure: figure(0.1, 'R-20.4', '3.59 m²K/W') }, global })
    expect(text.text()).toBe('R-20.4')
    useReader().units = 'metric'
    await text.vm.$nextTick()
    expect(text.text()).toBe('3.59 m²K/W')
  })

  it('opens its workings, and is no button without any', async () => {
    const text = mount(FigureText, { props: { figure: figure(1, 'a', 'b'), working }, global })
    await text.get('button').trigger('click')
    expect(useWorkings().trail.map((w) => w.name)).toEqual(['wholeU'])
    expect(
      mount(FigureText, { props: { figure: figure(1, 'a', 'b') }, global })
        .find('button')
        .exists(),
    ).toBe(false)
  })
})

describe('the trail of workings', () => {
  it('goes down and back up', () => {
    const trail = useWorkings()
    trail.open(working)
    trail.deeper({ ...working, name: 'foamR' })
    trail.deeper({ ...working, name: 'sheetR' })
    trail.back(0)
    expect(trail.trail.map((w) => w.name)).toEqual(['wholeU'])
    trail.close()
    expect(trail.trail).toEqual([])
  })
})

describe('a formula', () => {
  it('sets indices low', () => {
    const formula = mount(FormulaText, { props: { text: 'U = f / (R_member + R_rest)' } })
    expect(formula.findAll('sub').map((s) => s.text())).toEqual(['member', 'rest'])
    expect(formula.text()).toBe('U = f / (Rmember + Rrest)')
  })
})

describe('a finding', () => {
  const finding: Finding = {
    rule: 'target',
    case: 'short',
    stage: 'section',
    isNumbered: false,
    isToldAtOnce: false,
    yieldsToReason: true,
    blocks: null,
    verdict: 'care',
    basis: 'modelCode',
    source: { key: 'targets', words: { edition: 'Edition' }, figures: {} },
    measured: figure(0.3, 'U-0.0500', '0.284 W/m²K'),
    limit: figure(0.25, 'U-0.0450', '0.256 W/m²K'),
    margin: null,
    figures: { thickness: figure(0.0762, '3 in', '76 mm') },
    words: {},
    remedies: [{ kind: 'goToThickness', figures: { thickness: figure(0.0762, '3 in', '76 mm') }, words: {} }],
    working: null,
  }

  it('says what was measured, the limit and what to do, and does it', async () => {
    const list = mount(FindingsList, { props: { findings: [finding] }, global })
    expect(list.text()).toContain('U-0.0500, target U-0.0450')
    expect(list.text()).toContain('3 in would meet it.')
    await list.get('.is-link').trigger('click')
    expect(list.emitted('thickness')).toEqual([[0.0762]])
  })

  it('counts by verdict and shows no markup of a name', () => {
    const leak: Finding = {
      ...finding,
      rule: 'leak',
      case: 'open',
      verdict: 'hold',
      words: { where: { book: null, keys: ['<b>roof</b>'] } },
      remedies: [],
    }
    const list = mount(FindingsList, { props: { findings: [leak, finding] }, global })
    expect(list.text()).toContain('1 Hold, 1 Care, 0 Clear')
    expect(list.text()).toContain('<b>roof</b>')
    expect(list.find('li b').exists()).toBe(false)
  })
})
