import { createPinia, setActivePinia } from 'pinia'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import { ApiProblem } from '../api/client'
import { entriesBelongTo } from '../keeping/entries'
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
  entriesBelongTo(`person ${Math.random()}`)
})

describe('a form sent as a whole', () => {
  it('sends what was typed, and blanks only where they are asked for', async () => {
    const send = vi.fn().mockResolvedValue(undefined)
    const form = formOf('one', { side: 'a' }, send)
    Object.assign(form.values, { side: 'a', lot: 'L-1', full: ' ', expires: '' })
    expect(await form.submit(['expires', 'product'])).toBe(true)
    expect(send).toHaveBeenCalledWith({ side: 'a', lot: 'L-1', expires: '', product: '' })
  })

  it('keeps all that was typed when it is refused, with the sentence at its field', async () => {
    const refused = new ApiProblem(400, 'Not read', [{ field: 'lot', code: 'empty', typed: '' }], null)
    const form = formOf('two', {}, () => Promise.reject(refused))
    form.values.full = '3'
    expect(await form.submit(['lot'])).toBe(false)
    expect(form.typed.value).toEqual({ full: '3' })
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

  it('outlives the page it was typed on, and what was sent is gone from it', async () => {
    formOf('four', {}, () => Promise.resolve()).values.lot = 'L-9'
    const again = formOf('four', {}, () => Promise.resolve())
    expect(again.values.lot).toBe('L-9')
    await again.submit()
    expect(formOf('four', {}, () => Promise.resolve()).values.lot).toBeUndefined()
  })

  it('keeps what is typed on while it is sent', async () => {
    let go!: () => void
    const form = formOf('five', {}, () => new Promise<void>((done) => (go = done)))
    form.values.lot = 'L-2'
    const sent = form.submit()
    form.values.lot = 'L-23'
    go()
    await sent
    expect(form.values.lot).toBe('L-23')
  })

  it('is as it was before anything was typed once it is cancelled', () => {
    const form = formOf('six', { side: 'a' }, () => Promise.resolve())
    Object.assign(form.values, { side: 'b', lot: 'L-2' })
    form.clear()
    expect(form.values.side).toBe('a')
    expect(form.values.lot).toBeUndefined()
  })
})
