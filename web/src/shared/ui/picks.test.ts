import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { i18n } from '@/i18n'
import CellPick from './CellPick.vue'
import PickField from './PickField.vue'

const options = [
  { value: '', text: 'As before' },
  { value: 'wood', text: 'Wood' },
  { value: 'steel', text: 'Steel', disabled: true },
]
const many = Array.from({ length: 30 }, (_, i) => ({ value: `p${i}`, text: `Place ${i}` }))
const settled = () => new Promise((go) => setTimeout(go, 30))
const listed = () =>
  [...document.querySelectorAll<HTMLElement>('[role=option]')]
    .filter((one) => one.style.display !== 'none')
    .map((one) => one.innerText.trim())

function shown<T>(component: T, props: object) {
  return mount(component as typeof PickField, {
    props: props as never,
    global: { plugins: [i18n] },
    attachTo: document.body,
  })
}

afterEach(() => (document.body.innerHTML = ''))

describe('a field in which one of some is picked', () => {
  it('says its label with what is picked, an empty value too, and its fault', async () => {
    const screen = shown(PickField, { label: 'Frame', options, modelValue: '', fault: 'Pick one of them.' })
    await nextTick()
    const field = screen.get('[role=combobox]')
    expect(field.attributes('aria-label')).toBe('Frame: As before')
    expect(field.attributes('aria-invalid')).toBe('true')
    expect(screen.get(`#${field.attributes('aria-describedby')}`).text()).toBe('Pick one of them.')
    await screen.setProps({ modelValue: 'wood', fault: '' })
    expect(field.attributes()).toMatchObject({ 'aria-label': 'Frame: Wood', 'aria-invalid': 'false' })
  })

  it('is opened and picked from with the keyboard alone; what cannot be picked is passed over', async () => {
    const screen = shown(PickField, { label: 'Frame', options, modelValue: '' })
    const field = screen.get('[role=combobox]')
    expect(listed()).toEqual([])
    await field.trigger('keydown', { key: 'ArrowDown', code: 'ArrowDown' })
    await settled()
    expect(listed()).toEqual(['As before', 'Wood', 'Steel'])
    for (let press = 0; press < 3; press++) await field.trigger('keydown', { key: 'ArrowDown', code: 'ArrowDown' })
    await field.trigger('keydown', { key: 'Enter', code: 'Enter' })
    expect(screen.emitted('update:modelValue')!.flat()).not.toContain('steel')
    expect(screen.emitted('update:modelValue')).toHaveLength(1)
  })

  it('is narrowed by typing where the list is long', async () => {
    const screen = shown(PickField, { label: 'Place', options: many, modelValue: 'p3' })
    const field = screen.get<HTMLInputElement>('[role=combobox]')
    await field.trigger('click')
    await settled()
    expect(listed()).toHaveLength(30)
    await field.trigger('beforeinput')
    await field.setValue('CE 29')
    await settled()
    expect(listed()).toEqual(['Place 29'])
    await field.trigger('keydown', { key: 'Enter', code: 'Enter' })
    expect(screen.emitted('update:modelValue')).toEqual([['p29']])
    await field.trigger('click')
    await settled()
    await field.trigger('beforeinput')
    await field.setValue('nowhere')
    await settled()
    expect(document.body.textContent).toContain('Nothing of that name')
    expect(shown(PickField, { label: 'Frame', options, modelValue: '' }).get('input').attributes()).toHaveProperty(
      'readonly',
    )
  })
})

it('opened and left with Enter, a long list keeps what was picked', async () => {
  const screen = shown(PickField, { label: 'Place', options: many, modelValue: 'p3' })
  const field = screen.get('[role=combobox]')
  await field.trigger('keydown', { key: 'ArrowDown', code: 'ArrowDown' })
  await settled()
  await field.trigger('keydown', { key: 'Enter', code: 'Enter' })
  expect((screen.emitted('update:modelValue') ?? []).flat()).not.toContain('p0')
  expect(field.attributes('aria-label')).toBe('Place: Place 3')
})

describe('a cell in which one of some is picked', () => {
  it('holds a list only while it is open, and has the focus again afterwards', async () => {
    const screen = shown(CellPick, { label: 'Kind, North wall', options, modelValue: 'wood', 'data-cell': '0.kind' })
    const cell = screen.get('button')
    expect([cell.text(), cell.attributes('data-cell'), screen.find('input').exists()]).toEqual([
      'Wood',
      '0.kind',
      false,
    ])
    await cell.trigger('keydown', { key: 'ArrowDown' })
    await settled()
    expect(listed()).toEqual(['As before', 'Wood', 'Steel'])
    await screen.get('[role=combobox]').trigger('keydown', { key: 'Escape', code: 'Escape' })
    await settled()
    expect(document.activeElement).toBe(screen.get('button').element)
  })

  it('shows what is none of those that can be picked as it was written', () => {
    const screen = shown(CellPick, {
      label: 'Kind, line 3',
      options,
      modelValue: undefined,
      otherwise: 'Bretter',
      fault: 'No such kind.',
    })
    expect(screen.get('button').text()).toBe('Bretter')
    expect(screen.get('button').attributes('aria-invalid')).toBe('true')
  })
})
