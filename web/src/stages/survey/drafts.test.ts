import { beforeEach, describe, expect, it } from 'vitest'
import { draftsBelongTo } from '@/shared/keeping/drafts'
import { useGridDrafts } from './drafts'

beforeEach(() => draftsBelongTo(`person ${Math.random()}`))

describe('drafts of the survey', () => {
  it('are kept apart by job, surface and field', () => {
    const drafts = useGridDrafts('one')
    drafts.set('a', 'size', '1')
    drafts.set('a', 'name', '2')
    drafts.set('b', 'size', '3')
    expect(drafts.fieldsOf('a').sort()).toEqual(['name', 'size'])
    expect(drafts.surfaces.value).toEqual(['a', 'b'])
    expect(useGridDrafts('other').get('a', 'size')).toBeUndefined()
    drafts.drop('a', 'size')
    expect(drafts.get('a', 'size')).toBeUndefined()
    expect(drafts.get('b', 'size')).toBe('3')
  })
})
