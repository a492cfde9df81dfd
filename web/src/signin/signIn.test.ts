import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import { ApiProblem } from '@/shared/api/client'
import { useSession } from '@/shared/state/session'
import { shown } from '@/shared/testing/shown'
import SignInForm from './SignInForm.vue'

beforeEach(() => setActivePinia(createPinia()))

describe('signing in', () => {
  const marked = (screen: Awaited<ReturnType<typeof shown>>) =>
    screen.findAll('input').map((input) => input.attributes('aria-invalid') === 'true')

  it('asks for both, marks both, and sends nothing', async () => {
    const signIn = vi.spyOn(useSession(), 'signIn')
    const screen = await shown(SignInForm)
    expect(marked(screen)).toEqual([false, false])
    await screen.get('form').trigger('submit')
    expect(screen.get('[role=alert]').text()).toBe('Enter both your sign-in name and your password.')
    expect(marked(screen)).toEqual([true, true])
    expect(signIn).not.toHaveBeenCalled()
  })

  it('asks for a code where one is due, and marks only that once it is wrong', async () => {
    const needed = new ApiProblem(401, '', [], null, { needsCode: true })
    vi.spyOn(useSession(), 'signIn').mockRejectedValue(needed)
    const screen = await shown(SignInForm)
    const [name, password] = screen.findAll('input')
    await name!.setValue('a@b.example')
    await password!.setValue('secret')
    await screen.get('form').trigger('submit')
    await flushPromises()
    expect(marked(screen)).toEqual([false, false, false])
    await screen.get('form').trigger('submit')
    expect(marked(screen)).toEqual([false, false, true])
  })
})
