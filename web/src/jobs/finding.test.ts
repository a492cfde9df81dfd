import { describe, expect, it } from 'vitest'
import type { Schemas } from '../shared/api/client'
import { ALL, foundOf, orders, queryOf, type Wanted } from './finding'

const card = (name: string, crew: string, place: string | null, workDate: string | null = null, state = 'estimate') =>
  ({ job: { name, crew, climateZone: '6A', state }, place, workDate }) as unknown as Schemas['JobCard']
const cards = [
  card('Ferry house', 'Heron', 'Brindle Quay', '2026-11-27'),
  card('Café at the mill', 'Plover', 'Sallow Ford'),
  card('Apple store', 'Heron', null, '2026-11-24', 'ordered'),
]
const names = (wanted: Partial<Wanted>) => foundOf(cards, { ...ALL, ...wanted }).map(({ job }) => job.name)

describe('looking for a job', () => {
  it('shows all as they come while nothing is looked for', () => {
    expect(names({})).toEqual(cards.map(({ job }) => job.name))
    expect(names({ words: '   ' })).toHaveLength(cards.length)
  })

  it.each([
    ['ferry', ['Ferry house']],
    ['HERON', ['Ferry house', 'Apple store']],
    ['heron brindle', ['Ferry house']],
    ['store heron', ['Apple store']],
    ['cafe', ['Café at the mill']],
    ['CAFÉ', ['Café at the mill']],
    ['6a', ['Ferry house', 'Café at the mill', 'Apple store']],
    ['ferry plover', []],
    ['(.*', []],
  ])('finds by every word of “%s”, wherever it is said', (words, expected) => {
    expect(names({ words })).toEqual(expected)
  })

  it('narrows by crew and by place, and by both with words', () => {
    expect(names({ crew: 'Heron' })).toEqual(['Ferry house', 'Apple store'])
    expect(names({ place: 'Sallow Ford' })).toEqual(['Café at the mill'])
    expect(names({ crew: 'Heron', place: 'Sallow Ford' })).toEqual([])
    expect(names({ crew: 'Heron', words: 'apple' })).toEqual(['Apple store'])
    expect(names({ state: 'ordered' })).toEqual(['Apple store'])
    expect(names({ state: 'ordered', crew: 'Plover' })).toEqual([])
  })

  it('sorts without losing any: what has a day first, by day; or by name', () => {
    expect(names({ order: 'workDate' })).toEqual(['Apple store', 'Ferry house', 'Café at the mill'])
    expect(names({ order: 'name' })).toEqual(['Apple store', 'Café at the mill', 'Ferry house'])
    for (const order of orders) expect(names({ order }).toSorted()).toEqual(names({}).toSorted())
  })

  it('leaves the list it was given as it was', () => {
    const before = [...cards]
    foundOf(cards, { ...ALL, order: 'name' })
    expect(cards).toEqual(before)
  })

  it('leaves in the address what is looked for, whatever words it is, and nothing else', () => {
    expect(queryOf(ALL)).toEqual({})
    expect(queryOf({ ...ALL, words: 'newest', order: 'name' })).toEqual({ words: 'newest', order: 'name' })
    expect(queryOf({ ...ALL, words: 'name', crew: 'newest' })).toEqual({ words: 'name', crew: 'newest' })
  })
})
