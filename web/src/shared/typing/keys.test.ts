import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { shown } from '../testing/shown'
import { useReader } from '../state/reader'
import FormField from '../ui/FormField.vue'
import { keysOf, kindOf, typedKey, type TypedKind } from './fieldKeys'
import KeyStrip from './KeyStrip.vue'
import TypeIn from './TypeIn.vue'
import TypeOnce from './TypeOnce.vue'

beforeEach(() => setActivePinia(createPinia()))

describe('a key that digits lack', () => {
  const end = (text: string, key: string) => typedKey(text, text.length, text.length, key).text

  it('puts a fraction apart from the whole before it, once', () => {
    expect(end('3', '1/2')).toBe('3 1/2')
    expect(end('3 ', '1/2')).toBe('3 1/2')
    expect(end('', '1/2')).toBe('1/2')
    expect(end('-', '1/2')).toBe('-1/2')
    expect(end('12', 'ft')).toBe('12 ft')
    expect(end('12 ft', '×')).toBe('12 ft × ')
  })

  it('turns the sign, wherever the cursor is, and turning it twice changes nothing', () => {
    for (const text of ['', '4', '-4', '4.5 °C', '−4', ' 4']) {
      const once = typedKey(text, text.length, text.length, '±')
      expect(once.text).not.toBe(text)
      const bare = text.trim().replace('−', '-')
      expect(typedKey(once.text, once.at, once.at, '±').text).toBe(bare)
    }
    expect(typedKey('45', 1, 1, '±')).toEqual({ text: '-45', at: 2 })
  })

  it('takes the place of what is marked, and leaves the cursor behind it', () => {
    expect(typedKey('10 in', 3, 5, 'ft')).toEqual({ text: '10 ft', at: 5 })
  })

  it('has every eighth where inches are read, and none where millimetres are', () => {
    const eighths = (kind: TypedKind, units: 'us' | 'metric') =>
      keysOf(kind, units).filter((key) => /^\d\/\d$/.test(key)).length
    for (const kind of ['length', 'size'] as const)
      expect([eighths(kind, 'us'), eighths(kind, 'metric')]).toEqual([7, 0])
  })
})

describe('the strip of keys', () => {
  it('comes with a field for numbers, types into it, and goes with its focus', async () => {
    useReader().units = 'us'
    const text = ref('3')
    const screen = await shown({
      components: { KeyStrip, TypeIn },
      setup: () => ({ text }),
      template: `<div><TypeIn v-model="text" kind="length" /><TypeIn class="words" /><KeyStrip /></div>`,
    })
    const [length, words] = screen.findAll('input')
    expect([length, words].map((one) => one!.attributes('inputmode'))).toEqual(['decimal', undefined])
    length!.element.focus()
    length!.element.setSelectionRange(1, 1)
    await length!.trigger('focusin')
    const key = (name: string) => screen.findAll('[role=toolbar] button').find((one) => one.text() === name)!
    await key('5/8').trigger('click')
    expect(text.value).toBe('3 5/8')
    await key('ABC').trigger('click')
    expect(length!.element.inputMode).toBe('text')
    await length!.trigger('focusout')
    await words!.trigger('focusin')
    expect(screen.find('[role=toolbar]').exists()).toBe(false)
  })
})

describe('a field of a form', () => {
  const invalid = async (props: Record<string, unknown>) =>
    (await shown(FormField, { label: 'Name', ...props })).get('input').attributes('aria-invalid')

  it('is marked as wrong by its own fault, and by one that is told elsewhere', async () => {
    expect(await invalid({})).toBe('false')
    expect(await invalid({ fault: 'This is required.' })).toBe('true')
    expect(await invalid({ 'aria-invalid': true })).toBe('true')
  })

  it('is typed with what its name says, wherever it stands', () => {
    expect(['drumA', 'expectedDrum', 'indoorTemp'].map(kindOf)).toEqual(Array(3).fill('temperature'))
    expect(['humidity', 'wood', 'summerOutdoorHumidity'].map(kindOf)).toEqual(Array(3).fill('percent'))
    expect(['place', 'instrument', 'name', 'words', 'openings'].map(kindOf)).toEqual(Array(5).fill(undefined))
  })
})

describe('a text told once', () => {
  it('is told when it is left, stays typed where it was refused, and follows what is kept', async () => {
    const told = vi.fn()
    const screen = await shown(TypeOnce, { text: '4', onChange: told })
    const input = screen.get('input')
    input.element.value = 'four'
    await input.trigger('input')
    expect(told).not.toHaveBeenCalled()
    await input.trigger('change')
    expect(told.mock.calls).toEqual([['four']])
    await nextTick()
    expect(input.element.value).toBe('four')
    await screen.setProps({ text: '5' })
    await nextTick()
    expect(input.element.value).toBe('5')
  })
})
