import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { useSession } from './session'

// Longer than the dialog ever takes to come.
const PATIENCE_MS = 3_000

/** The search over the page. What is typed while it is still coming is what is looked for, and no key of the page. */
export function useSearch() {
  const session = useSession()
  const shown = ref(false)
  /** Fetched when it is asked for first, and left there. */
  const wanted = ref(false)
  let [early, since] = ['', 0]

  useEventListener(
    window,
    'keydown',
    (event) => {
      if (!since || performance.now() - since > PATIENCE_MS) return
      if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      event.stopImmediatePropagation()
      early += event.key
    },
    { capture: true },
  )

  return {
    shown,
    wanted,
    open() {
      if (!session.person || shown.value) return
      early = ''
      since = performance.now()
      shown.value = wanted.value = true
    },
    /** It has come: what was typed until then. */
    come() {
      since = 0
      return early
    },
  }
}
