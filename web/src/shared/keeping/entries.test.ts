import { beforeEach, describe, expect, it } from 'vitest'
import { draftsOf, useDrafts } from './drafts'
import { entriesBelongTo, shelf, type Entry } from './entries'
import './records'
import { ref } from 'vue'

const entry = (text: string, rest: Partial<Entry> = {}): Entry => ({ text, at: 1, state: 'typed', ...rest })
const stored = () => Object.entries({ ...localStorage }).map(([key, text]) => `${key} ${text}`)

/** What another tab of the browser writes, and what this one is told of it. */
function otherTab(key: string, text: string | null) {
  if (text === null) localStorage.removeItem(key)
  else localStorage.setItem(key, text)
  globalThis.dispatchEvent(new StorageEvent('storage', { key }))
}

beforeEach(() => {
  localStorage.clear()
  entriesBelongTo(`person ${Math.random()}`)
})

describe('what was entered and not taken', () => {
  it('is in the storage of the browser as soon as it is typed', () => {
    shelf.value.put('surface.one', 'size', entry('twelve x 9'))
    expect(stored().join()).toContain('twelve x 9')
  })

  it('of one person is not shown to the next, and comes back with the first', () => {
    entriesBelongTo('first')
    shelf.value.put('surface.one', 'name', entry('mine'))
    entriesBelongTo('second')
    expect(shelf.value.get('surface.one', 'name')).toBeUndefined()
    shelf.value.put('surface.one', 'name', entry('theirs'))
    entriesBelongTo('')
    expect(shelf.value.records).toEqual({})
    entriesBelongTo('first')
    expect(shelf.value.get('surface.one', 'name')?.text).toBe('mine')
  })

  it('leaves nothing behind once it is dropped', () => {
    shelf.value.put('surface.one', 'name', entry('a'))
    shelf.value.drop('surface.one', 'name')
    expect(stored()).toEqual([])
    expect(shelf.value.records).toEqual({})
  })

  it('shows at once what another tab typed or sent, and two tabs never write over each other', () => {
    entriesBelongTo('two tabs')
    shelf.value.put('surface.one', 'name', entry('here'))
    otherTab('entry:two tabs:surface.one:size', JSON.stringify(entry('there')))
    expect(Object.keys(shelf.value.of('surface.one')).sort()).toEqual(['name', 'size'])
    otherTab('entry:two tabs:surface.one:size', null)
    expect(Object.keys(shelf.value.of('surface.one'))).toEqual(['name'])
    expect(shelf.value.get('surface.one', 'name')?.text).toBe('here')
  })

  it('is kept while the page is open where the storage is full', () => {
    const full = localStorage.setItem.bind(localStorage)
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    try {
      shelf.value.put('surface.one', 'name', entry('kept'))
      shelf.value.reread('surface.one')
      expect(shelf.value.get('surface.one', 'name')?.text).toBe('kept')
    } finally {
      Storage.prototype.setItem = function (key: string, text: string) {
        full(key, text)
      }
    }
  })

  it.each(['not json', '{"text":5}', 'null', '[]'])('that cannot be read (%s) is not shown', (text) => {
    localStorage.setItem('entry:broken:surface.one:name', text)
    entriesBelongTo('broken')
    expect(shelf.value.records).toEqual({})
  })
})

describe('drafts of a form', () => {
  it('follow the form on the page, but one on its way stays with its own', () => {
    const surface = ref('one')
    const drafts = useDrafts(() => `readings.${surface.value}`)
    drafts.set('air', '3 C')
    const onItsWay = drafts.now()
    surface.value = 'two'
    expect(drafts.get('air')).toBeUndefined()
    drafts.set('air', '5 C')
    onItsWay.drop('air')
    expect(drafts.get('air')).toBe('5 C')
    surface.value = 'one'
    expect(drafts.get('air')).toBeUndefined()
  })

  it('are gone once the form is cleared', () => {
    const drafts = draftsOf('stock.new')
    drafts.set('lot', 'L-9')
    drafts.clear()
    expect(drafts.all()).toEqual({})
  })
})

describe('drafts as the version before kept them', () => {
  const old: [string, Record<string, string>, string, string, string][] = [
    ['grid.job-1', { 'wall.size': 'twelve x 9' }, 'surface.wall', 'size', 'twelve x 9'],
    ['surface.wall', { thickness: '3 in' }, 'surface.wall', 'thickness', '3 in'],
    ['facts.wall', { load: '2 psf' }, 'surface.wall', 'facts.load', '2 psf'],
    ['job.j-1', { workDate: '2026-11-30' }, 'job.j-1', 'workDate', '2026-11-30'],
    ['job.form.j-1', { name: 'Quay' }, 'jobForm.j-1', 'name', 'Quay'],
    ['fan.new.j-1', { points: '50 2310' }, 'fanForm.j-1', 'points', '50 2310'],
    ['place.new', { name: 'Quay' }, 'placeForm.new', 'name', 'Quay'],
    ['firm', { currency: '$' }, 'firm.own', 'currency', '$'],
    ['readings.wall', { air: '50 F' }, 'readings.wall', 'air', '50 F'],
  ]

  it.each(old)('%s is found again', (name, texts, record, field, text) => {
    localStorage.setItem(`draft:crew:${name}`, JSON.stringify(texts))
    localStorage.setItem('draft:other:surface.wall', '{"thickness":"9 in"}')
    entriesBelongTo('crew')
    expect(shelf.value.get(record, field)).toMatchObject({ text, state: 'typed' })
    expect(localStorage.getItem(`draft:crew:${name}`)).toBeNull()
    expect(localStorage.getItem('draft:other:surface.wall')).not.toBeNull()
  })

  it('does not push aside what was typed since', () => {
    entriesBelongTo('since')
    shelf.value.put('surface.wall', 'size', entry('new'))
    localStorage.setItem('draft:since:grid.job-1', '{"wall.size":"old"}')
    entriesBelongTo('since')
    expect(shelf.value.get('surface.wall', 'size')?.text).toBe('new')
  })

  it('that cannot be read is dropped', () => {
    localStorage.setItem('draft:worse:stock', '{"lot":')
    entriesBelongTo('worse')
    expect(stored()).toEqual([])
  })
})
