import { useEventListener, useWindowSize } from '@vueuse/core'
import { computed, nextTick, ref, toValue, type MaybeRefOrGetter, type Ref } from 'vue'

/** Height of a line of a grid. Lines with a fault are taller; the spare lines on either side make up for it. */
const LINE = 45
const SPARE = 12
/** The window moves on by so many lines at once. */
const STEP = 2
/** A grid shorter than this is drawn whole, so that the browser's own search finds everything. */
const WHOLE = 120

/** Which lines of a long grid are drawn: those on the screen and some on either side; all of them on paper. */
export function useRowWindow(
  count: () => number,
  body: Readonly<Ref<HTMLElement | null | undefined>>,
  height: MaybeRefOrGetter<number> = LINE,
) {
  const { height: screen } = useWindowSize()
  const line = () => toValue(height)
  const above = ref(0)
  const printing = ref(false)
  const isWhole = () => printing.value || count() <= WHOLE

  // Only whole steps count: the grid is not drawn anew for every pixel of a scroll.
  function look() {
    const top = body.value ? -body.value.getBoundingClientRect().top : 0
    above.value = Math.max(0, Math.floor(top / (line() * STEP)) * STEP)
  }
  // Also when a part of the page is scrolled, which the page itself is not told.
  useEventListener('scroll', look, { passive: true, capture: true })
  useEventListener('beforeprint', () => (printing.value = true))
  useEventListener('afterprint', () => (printing.value = false))

  const from = computed(() => (isWhole() ? 0 : Math.max(0, Math.min(above.value - SPARE, count() - 1))))
  const to = computed(() =>
    isWhole() ? count() : Math.min(count(), above.value + Math.ceil(screen.value / line()) + STEP + SPARE),
  )

  return {
    from,
    to,
    before: computed(() => from.value * line()),
    after: computed(() => (count() - to.value) * line()),
    /** Has a line drawn that may be out of the window. */
    async reveal(at: number) {
      if (at >= from.value && at < to.value) return
      const top = (body.value?.getBoundingClientRect().top ?? 0) + globalThis.scrollY
      globalThis.scrollTo(0, top + at * line() - screen.value / 2)
      look()
      await nextTick()
    },
  }
}

/** Puts the focus on a cell of a long table, and moves the page no further than that shows it: by itself a browser would put it in
 *  the middle, and half a screen of lines would have to be drawn at once. */
export function focusNear(cell: HTMLElement | null | undefined) {
  cell?.focus({ preventScroll: true })
  cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
}
