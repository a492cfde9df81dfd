import { onKeyStroke } from '@vueuse/core'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, select, textarea, [contenteditable]') !== null

// A dialog that is fading out is closed to whoever pressed Escape: the next key is the page's again.
const isLeaving = (dialog: Element) => dialog.closest('[class*="-leave-active"]') !== null

// Behind an open dialog the page stands still.
const isCovered = () =>
  [...document.querySelectorAll('[aria-modal="true"]')].some(
    (dialog) => !isLeaving(dialog) && (dialog.checkVisibility?.() ?? true),
  )

/** A key of a page, unless one is typing. */
export const onKey = (keys: string | string[], act: (event: KeyboardEvent) => void) =>
  onKeyStroke(keys, (event) => {
    if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || isCovered()) return
    event.preventDefault()
    act(event)
  })
