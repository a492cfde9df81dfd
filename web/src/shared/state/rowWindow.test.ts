import { mount } from '@vue/test-utils'
import { nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { useRowWindow } from './rowWindow'

function make(count: number, top = 0) {
  const body = ref({ getBoundingClientRect: () => ({ top }) } as unknown as HTMLElement)
  let lines!: ReturnType<typeof useRowWindow>
  mount({
    setup() {
      lines = useRowWindow(() => count, body)
      return () => null
    },
  })
  return {
    lines,
    scrollTo: (to: number) => (
      (body.value.getBoundingClientRect = () => ({ top: -to }) as DOMRect),
      window.dispatchEvent(new Event('scroll'))
    ),
  }
}

describe('the window of a long grid', () => {
  it('draws a short grid whole', () => {
    const { lines } = make(120)
    expect([lines.from.value, lines.to.value, lines.before.value, lines.after.value]).toEqual([0, 120, 0, 0])
  })

  it('draws what is on the screen and keeps the height of the rest', async () => {
    const { lines, scrollTo } = make(500)
    scrollTo(9000)
    await nextTick()
    expect(lines.from.value).toBeGreaterThan(150)
    expect(lines.from.value).toBeLessThan(200)
    expect(lines.to.value).toBeGreaterThan(200)
    expect(lines.to.value - lines.from.value).toBeLessThan(100)
    expect(lines.before.value + lines.after.value).toBe((500 - (lines.to.value - lines.from.value)) * 45)
  })

  it('never leaves the grid, however far it is scrolled', async () => {
    const { lines, scrollTo } = make(500)
    scrollTo(10_000_000)
    await nextTick()
    expect(lines.from.value).toBeLessThan(500)
    expect(lines.to.value).toBe(500)
  })

  it('draws everything on paper, and the window again afterwards', () => {
    const { lines } = make(500)
    const drawn = () => lines.to.value - lines.from.value
    const before = drawn()
    window.dispatchEvent(new Event('beforeprint'))
    expect(drawn()).toBe(500)
    expect(lines.before.value + lines.after.value).toBe(0)
    window.dispatchEvent(new Event('afterprint'))
    expect(drawn()).toBe(before)
  })
})
