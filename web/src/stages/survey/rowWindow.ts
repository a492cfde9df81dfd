import { useEventListener, useWindowSize } from '@vueuse/core'
import { computed, nextTick, ref, type Ref } from 'vue'

/** Height of a line of the grid. Lines with a fault are taller; the spare lines on either side make up for it. */
const LINE = 45
const SPARE = 20
/** A grid shorter than this is drawn whole, so that the browser's own search finds everything. */
const WHOLE = 120

/** Which lines of a long grid are drawn: those on the screen and some on either side. */
export function useRowWindow(count: () => number, body: Ref<HTMLElement | undefined>) {
  const { height } = useWindowSize()
  const above = ref(0)

  // Only whole steps count: the grid is not drawn anew for every pixel of a scroll.
  function look() {
    const top = body.value ? -body.value.getBoundingClientRect().top : 0
    above.value = Math.max(0, Math.floor(top / (LINE * 10)) * 10)
  }
  useEventListener('scroll', look, { passive: true })

  const from = computed(() => (count() <= WHOLE ? 0 : Math.max(0, Math.min(above.value - SPARE, count() - 1))))
  const to = computed(() =>
    count() <= WHOLE ? count() : Math.min(count(), above.value + Math.ceil(height.value / LINE) + 10 + SPARE),
  )

  return {
    from,
    to,
    before: computed(() => from.value * LINE),
    after: computed(() => (count() - to.value) * LINE),
    /** Has a line drawn that may be out of the window. */
    async reveal(line: number) {
      if (line >= from.value && line < to.value) return
      const top = (body.value?.getBoundingClientRect().top ?? 0) + globalThis.scrollY
      globalThis.scrollTo(0, top + line * LINE - height.value / 2)
      look()
      await nextTick()
    },
  }
}
