import { createPinia, setActivePinia } from 'pinia'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import { ApiProblem } from '../api/client'
import { useTypedForm } from './typedForm'

type Form = ReturnType<typeof useTypedForm>

function formOf(
  name: string,
  blank: Record<string, string>,
  send: (fields: Record<string, string>) => Promise<unknown>,
) {
  let form!: Form
  mount({ setup: () => ((form = useTypedForm(name, blank, send)), () => null) }, { global: { plugins: [i18n] } })
  return form
}

beforeEach(() => {
  setActivePinia(createPinia())
  sessionStorage.clear()
})

describe('a form sent as a whole', () => {
  it('sends what was typed, and blanks only where they are asked for', async () => {
    const send = vi.fn().mockResolvedValue(undefined)
    const form = formOf('one', { side: 'a' }, send)
    form.values.value = { side: 'a', lot: 'L-1', full: ' ', expires: '' }
    expect(await form.submit(['expires', 'product'])).toBe(true)
    expect(send).toHaveBeenCalledWith({ side: 'a', lot: 'L-1', expires: '', product: '' })
  })

  it('keeps all that was typed when it is refused, with the sentence at its field', async () => {
    const refused = new ApiProblem(400, 'Not read', [{ field: 'lot', code: 'empty', typed: '' }], null)
    const form = formOf('two', {}, () => Promise.reject(refused))
    form.values.value = { full: '3' }
    expect(await form.submit(['lot'])).toBe(false)
    expect(form.values.value).toEqual({ full: '3' })
    expect(form.faults.value.lot).toBeTruthy()
    expect(form.notice.value).toBe('')
    expect(form.busy.value).toBe(false)
  })

  it('tells what is no fault of a field above the form', async () => {
    const form = formOf('three', {}, () => Promise.reject(new ApiProblem(0, '', [], null)))
    await form.submit()
    expect(form.faults.value).toEqual({})
    expect(form.notice.value).toContain('does not answer')
  })

  it('outlives the page it was typed on', async () => {
    formOf('four', {}, () => Promise.resolve()).values.value = { lot: 'L-9' }
    await Promise.resolve()
    expect(formOf('four', {}, () => Promise.resolve()).values.value.lot).toBe('L-9')
  })

  it('is empty again once it is cleared, but for what is kept on purpose', () => {
    const form = formOf('five', { side: 'a' }, () => Promise.resolve())
    form.values.value = { side: 'b', lot: 'L-2' }
    form.clear({ side: 'b' })
    expect(form.values.value).toEqual({ side: 'b' })
  })
})
