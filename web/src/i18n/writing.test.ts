import { createApp } from 'vue'
import { describe, expect, it } from 'vitest'
import { i18n } from './index'
import { figureWriter, moneyWriter, useWriting } from './writing'

let writing!: ReturnType<typeof useWriting>
createApp({
  setup: () => {
    writing = useWriting()
    return () => null
  },
})
  .use(i18n)
  .mount(document.createElement('div'))

describe('money', () => {
  it.each([
    ['$', '¤1,234.50', '$1,234.50'],
    ['$', '¤-12.00', '-$12.00'],
    ['€', '¤4.48 per ft²', '€4.48 per ft²'],
    ['CHF', '¤4.48', 'CHF\u00A04.48'],
    ['Fr.', '¤-4.48', '-Fr.\u00A04.48'],
    ['', '¤4.48', '4.48'],
    ['$', '5 1/2 in', '5 1/2 in'],
  ])('is written with the sign %s', (sign, core, read) => expect(moneyWriter(sign)(core)).toBe(read))
})

describe('a figure in another language', () => {
  const write = figureWriter('de-DE', {
    'bd ft': 'Brettfuß',
    'per bd ft': 'je Brettfuß',
    sets: 'Sätze',
    set: 'Satz',
    h: 'Std.',
    under: 'unter',
  })

  // The server's own test has the same figures: page and paper read alike.
  it.each([
    ['1,234.5 bd ft', '1.234,5 Brettfuß'],
    ['0.412 per bd ft', '0,412 je Brettfuß'],
    ['1.0 set', '1,0 Satz'],
    ['12.5 sets', '12,5 Sätze'],
    ['3 h 20', '3 Std. 20'],
    ['under 0.1 %', 'unter 0,1 %'],
    ['5 1/2 in', '5 1/2 in'],
    ['13.2 m³/h', '13,2 m³/h'],
    ['0.25 Btu/h·ft·°F', '0,25 Btu/h·ft·°F'],
    [`12'3 1/2"`, `12'3 1/2"`],
  ])('has its marks and words: %s', (core, read) => expect(write(core)).toBe(read))
})

describe('lists', () => {
  it('are put together by the catalogue', () => {
    expect(writing.listed(['a', 'b', 'c'])).toBe('a, b, c')
    expect(writing.listed(['a', 'b'], 'plus')).toBe('a + b')
    expect(writing.listed([])).toBe('')
  })

  it('take names with braces as they are', () => expect(writing.listed(['{next}', '{list}'])).toBe('{next}, {list}'))
})

describe('a note', () => {
  it('stands in brackets, or not at all', () => {
    expect(writing.noted('Loft wall', 'stud wall')).toBe('Loft wall (stud wall)')
    expect(writing.noted('Loft wall', '')).toBe('Loft wall')
  })
})
