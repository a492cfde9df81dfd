import { onKeyStroke } from '@vueuse/core'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, select, textarea, [contenteditable]') !== null

/** A key of a page, unless one is typing. */
export const onKey = (keys: string | string[], act: (event: KeyboardEvent) => void) =>
  onKeyStroke(keys, (event) => {
    if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    act(event)
  })

/** `/` goes to what finds something on the page. */
export const onFindKey = () => onKey('/', () => document.querySelector<HTMLElement>('[data-find]')?.focus())
