import { ref } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { adoptOldDrafts, draftsBelongTo, draftsOf, useDrafts } from './drafts'

beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  draftsBelongTo(`person ${Math.random()}`)
})

const stored = () => Object.values({ ...localStorage }).join(' ')

describe('drafts', () => {
  it('are in the storage of the browser as soon as they are typed', () => {
    draftsOf('surface.one').set('size', 'twelve x 9')
    expect(stored()).toContain('twelve x 9')
  })

  it('of one person are not those of the next, and come back with the first', () => {
    draftsBelongTo('first')
    const drafts = useDrafts('surface.one')
    drafts.set('name', 'mine')
    draftsBelongTo('second')
    expect(drafts.get('name')).toBeUndefined()
    drafts.set('name', 'theirs')
    draftsBelongTo('')
    expect(drafts.get('name')).toBeUndefined()
    draftsBelongTo('first')
    expect(drafts.get('name')).toBe('mine')
  })

  it('follow the record on the page, but an edit on its way stays with its own', () => {
    const surface = ref('one')
    const drafts = useDrafts(() => `surface.${surface.value}`)
    drafts.set('thickness', '3 in')
    const onItsWay = drafts.now()
    surface.value = 'two'
    expect(drafts.get('thickness')).toBeUndefined()
    drafts.set('thickness', '5 in')
    onItsWay.drop('thickness')
    expect(drafts.get('thickness')).toBe('5 in')
    surface.value = 'one'
    expect(drafts.get('thickness')).toBeUndefined()
  })

  it('leave no empty entries behind', () => {
    draftsBelongTo('tidy')
    localStorage.setItem('draft:tidy:surface.long.ago', '{}')
    draftsBelongTo('tidy')
    expect(Object.keys({ ...localStorage })).not.toContain('draft:tidy:surface.long.ago')
  })
})

describe('drafts of the version before, which were under nobody’s name', () => {
  beforeEach(() => {
    localStorage.setItem('drafts.job-1', '{"wall.size":"twelve x 9"}')
    sessionStorage.setItem('draft.readings.wall', '{"air":"50 F"}')
    sessionStorage.setItem('form.stock', '{"lot":"L-9"}')
    localStorage.setItem('theme', 'attic')
  })

  it('go to the person whose sign-in was still good', () => {
    adoptOldDrafts('crew')
    draftsBelongTo('crew')
    expect(draftsOf('grid.job-1').get('wall.size')).toBe('twelve x 9')
    expect(draftsOf('readings.wall').get('air')).toBe('50 F')
    expect(draftsOf('stock').get('lot')).toBe('L-9')
    expect(localStorage.getItem('drafts.job-1')).toBeNull()
    expect(sessionStorage.length).toBe(0)
    expect(localStorage.getItem('theme')).toBe('attic')
  })

  it('are shown to nobody where somebody had to sign in first', () => {
    adoptOldDrafts(null)
    draftsBelongTo('next')
    expect(draftsOf('grid.job-1').all()).toEqual({})
    expect(stored()).not.toContain('twelve x 9')
  })

  it('that cannot be read are dropped', () => {
    sessionStorage.setItem('form.broken', '{"lot":')
    adoptOldDrafts('crew 2')
    expect(sessionStorage.getItem('form.broken')).toBeNull()
  })
})
