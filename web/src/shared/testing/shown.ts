import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h, type Component } from 'vue'
import { i18n } from '@/i18n'
import { keepWith } from '../keeping/editor'
import '../keeping/records'

/** A figure as the core prints it. */
export const figure = (amount: number, us = String(amount), metric = us) => ({ amount, us, metric })

/** What a judgement rests on, without words or figures. */
const cited = { key: 'geometry', words: {}, figures: {} }

/** A working without terms. */
export const working = { name: 'wholeU', formula: 'U = 1 / R', terms: [], result: figure(1), source: cited }

/** A figure that leads to a working. */
export const worked = (us: string, metric = us) => ({ figure: figure(1, us, metric), working })

/** A finding with the parts every finding has. */
export const finding = (rule: string, at: string, verdict: string, rest: object = {}) => ({
  rule,
  case: at,
  stage: 'section',
  isNumbered: false,
  isToldAtOnce: false,
  yieldsToReason: true,
  blocks: null,
  verdict,
  basis: 'practice',
  source: cited,
  measured: figure(1, '31 °F'),
  limit: figure(2, '39 °F'),
  margin: figure(1, '8 °F'),
  figures: {},
  words: {},
  remedies: [],
  working: null,
  ...rest,
})

/**
 * A component on the page with words and server state, once its first questions are answered.
 * @param known Puts what the page was told before among the server's answers.
 */
export async function shown(
  component: Component,
  props: Record<string, unknown> = {},
  known?: (queries: QueryClient) => void,
  slots: Record<string, (line: never) => unknown> = {},
) {
  const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  keepWith(queryClient)
  known?.(queryClient)
  const stubs = { RouterLink: { template: '<a><slot /></a>' }, AppBar: true, FirmNav: true }
  const screen = mount(component, {
    props,
    slots: slots as never,
    attachTo: document.body,
    global: { plugins: [i18n, [VueQueryPlugin, { queryClient }]], stubs },
  })
  await flushPromises()
  return screen
}

/** What a composable gives inside a component. */
export async function within<T>(use: () => T): Promise<T> {
  let given: T | undefined
  const Host = defineComponent({
    setup() {
      given = use()
      return () => h('i')
    },
  })
  await shown(Host)
  return given!
}
