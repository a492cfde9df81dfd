import { mount } from '@vue/test-utils'
import { ElDialog } from 'element-plus'
import { afterEach, expect, test, vi } from 'vitest'
import { defineComponent, h, nextTick } from 'vue'
import { onKey } from './keys'

afterEach(() => (document.body.innerHTML = ''))

const press = (key: string, on: EventTarget = document.body) =>
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))

/** A page that listens for h, with a dialog in front of it; `transition` keeps it on the screen as it goes. */
function pageWithDialog() {
  const act = vi.fn()
  const page = defineComponent({
    props: { open: { type: Boolean, required: true } },
    setup(props) {
      onKey('h', act)
      return () => h(ElDialog, { modelValue: props.open, appendTo: document.body, title: 'Keys', appendToBody: true })
    },
  })
  return { act, page: mount(page, { props: { open: false }, global: { stubs: { transition: false } } }) }
}

test('a key of the page rests behind an open dialog, and is the page’s again as soon as it is closing', async () => {
  const { act, page } = pageWithDialog()
  press('h')
  expect(act).toHaveBeenCalledTimes(1)

  await page.setProps({ open: true })
  await vi.waitFor(() => expect(document.querySelector('[aria-modal="true"]')).not.toBeNull())
  press('h')
  expect(act).toHaveBeenCalledTimes(1)

  await page.setProps({ open: false })
  await vi.waitFor(() => expect(document.querySelector('[class*="-leave-active"]')).not.toBeNull())
  expect(document.querySelector('[aria-modal="true"]')).not.toBeNull()
  press('h')
  expect(act).toHaveBeenCalledTimes(2)
  page.unmount()
})

test('a letter typed into a field is no key of the page', async () => {
  const { act, page } = pageWithDialog()
  const field = document.body.appendChild(document.createElement('input'))
  press('h', field)
  await nextTick()
  expect(act).not.toHaveBeenCalled()
  page.unmount()
})
