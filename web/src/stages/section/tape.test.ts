import { createPinia, setActivePinia } from 'pinia'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { i18n } from '@/i18n'
import { useReader } from '@/shared/state/reader'
import SectionTape from './SectionTape.vue'

const notch = (key: string, thicknessMm: number) => ({
  key,
  thicknessMm,
  thickness: { amount: thicknessMm / 1000, us: `${thicknessMm / 25.4} in`, metric: `${thicknessMm} mm` },
})
const props = {
  origin: 100,
  direction: 1 as const,
  pxPerMm: 2,
  lengthMm: 254,
  notches: [notch('airBarrier', 25.4), notch('class2', 34.3), notch('lift', 50.8), notch('face', 241.3)],
  y: 0,
  minX: 0,
  maxX: 900,
}
const tape = (more: Partial<typeof props> = {}) =>
  mount(SectionTape, { props: { ...props, ...more }, global: { plugins: [i18n] } })

beforeEach(() => setActivePinia(createPinia()))

describe('the tape', () => {
  it('counts whole inches from the substrate', () => {
    expect(
      tape()
        .findAll('.inch')
        .map((t) => t.text()),
    ).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'])
  })

  it('counts millimetres for those who read them', () => {
    useReader().units = 'metric'
    expect(
      tape()
        .findAll('.inch')
        .map((t) => t.text()),
    ).toEqual(['50', '100', '150', '200', '250'])
  })

  it('puts every notch at its thickness, mirrored where foam grows outward', () => {
    const xs = (t: ReturnType<typeof tape>) =>
      t.findAll('.notch').map((n) => Number(/^M([\d.]+)/.exec(n.attributes('d')!)![1]) + 5)
    expect(xs(tape()).sort((a, b) => a - b)[0]).toBeCloseTo(100 + 25.4 * 2, 6)
    expect(xs(tape({ direction: -1, origin: 800 } as never)).sort((a, b) => b - a)[0]).toBeCloseTo(800 - 25.4 * 2, 6)
  })

  it('keeps labels of one row apart, and tells how many rows it needs', () => {
    const drawn = tape()
    const labels = drawn.findAll('text:not(.inch)').map((t) => ({
      x: Number(t.attributes('x')),
      y: Number(t.attributes('y')),
      width: t.text().length * 6.4,
    }))
    for (const a of labels) {
      for (const b of labels) {
        if (a !== b && a.y === b.y && a.x <= b.x) expect(a.x + a.width).toBeLessThanOrEqual(b.x)
      }
    }
    expect(drawn.emitted('rows')!.at(-1)).toEqual([new Set(labels.map((l) => l.y)).size])
  })

  it('leaves out notches past its end', () => {
    expect(tape({ lengthMm: 60 }).findAll('.notch')).toHaveLength(3)
  })
})
