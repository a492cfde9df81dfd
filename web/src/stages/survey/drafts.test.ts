import { nextTick } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { useDrafts } from './drafts'

beforeEach(() => localStorage.clear())

describe('drafts of the survey', () => {
  it('outlive the page', async () => {
    useDrafts('job').set('wall', 'size', 'twelve x 9')
    await nextTick()
    const reloaded = useDrafts('job')
    expect(reloaded.get('wall', 'size')).toBe('twelve x 9')
    expect(reloaded.count.value).toBe(1)
  })

  it('are kept apart by job, surface and field', () => {
    const drafts = useDrafts('one')
    drafts.set('a', 'size', '1')
    drafts.set('a', 'name', '2')
    drafts.set('b', 'size', '3')
    expect(drafts.fieldsOf('a').sort()).toEqual(['name', 'size'])
    expect(useDrafts('other').get('a', 'size')).toBeUndefined()
    drafts.drop('a', 'size')
    expect(drafts.get('a', 'size')).toBeUndefined()
    expect(drafts.get('b', 'size')).toBe('3')
  })
})
