import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '@/shared/api/client'
import { entriesBelongTo } from '@/shared/keeping/entries'
import { fault } from '@/shared/testing/recordServer'
import { shown } from '@/shared/testing/shown'
import PickOne from '@/shared/ui/PickOne.vue'
import SplitForm from './SplitForm.vue'

const post = vi.hoisted(() => vi.fn())
const go = vi.hoisted(() => vi.fn())
vi.mock('vue-router', () => ({ useRouter: () => ({ push: go }) }))
vi.mock('@/shared/api/client', async (original) => ({
  ...(await original<object>()),
  api: { POST: (...asked: unknown[]) => post(...asked) as unknown, GET: () => Promise.resolve({}) },
  ask: (answer: Promise<unknown>) => answer,
}))

const surface = { id: 's', name: 'North wall', version: 4, cutAlong: ['height', 'length'] }
async function open() {
  const screen = await shown(SplitForm, { job: 'j', surface })
  await screen.find('button').trigger('click')
  return screen
}
async function cut(screen: Awaited<ReturnType<typeof open>>) {
  await screen.find('form').trigger('submit')
  await flushPromises()
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  entriesBelongTo('somebody')
  post.mockReset().mockResolvedValue({ id: 'second', name: 'North wall, the rest', version: 1 })
  go.mockReset()
})

describe('cutting a surface in two', () => {
  it('asks along which part and where, names the second after the first, and goes on to it', async () => {
    const screen = await open()
    await screen.getComponent(PickOne).setValue('length')
    await screen.find('[name=at]').setValue("12'")
    await cut(screen)
    const [path, { params, body }] = post.mock.calls[0]! as [
      string,
      { params: object; body: { version: number; fields: object } },
    ]
    expect([path, params]).toEqual(['/api/surfaces/{id}/split', { path: { id: 's' } }])
    expect(body.version).toBe(4)
    expect(body.fields).toMatchObject({
      along: 'length',
      at: "12'",
      name: expect.stringContaining('North wall') as string,
    })
    expect(go).toHaveBeenCalledWith({ name: 'surfaceSheet', params: { job: 'j', surface: 'second' } })
  })

  it('says what is wrong with the place of the cut and keeps what was typed', async () => {
    post.mockRejectedValue(new ApiProblem(400, '', [{ ...fault('at'), code: 'notANumber', typed: 'half' }], null))
    const screen = await open()
    await screen.find('[name=at]').setValue('half')
    await cut(screen)
    expect(screen.find('[role=alert]').text()).toContain('“half” is not a number')
    expect(screen.get('[name=at]').attributes('aria-invalid')).toBe('true')
    expect((screen.find('[name=at]').element as HTMLInputElement).value).toBe('half')
    expect(go).not.toHaveBeenCalled()
  })
})
