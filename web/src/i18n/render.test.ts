import { describe, expect, it } from 'vitest'
import en from './en.json'
import { i18n } from './index'

const leaves = (node: object, path = ''): [string, string][] =>
  Object.entries(node).flatMap(([key, one]) =>
    typeof one === 'string' ? [[path + key, one] as [string, string]] : leaves(one as object, `${path}${key}.`),
  )

/** As the server reads a message: what is named in braces is put in, and nothing else means anything. */
const read = (message: string, told: Record<string, string>) =>
  Object.entries(told).reduce((text, [name, value]) => text.replaceAll(`{${name}}`, value), message)

describe('every message of the catalogue', () => {
  it('reads on the page as it reads on the server', () => {
    const { t } = i18n.global
    for (const [key, message] of leaves(en)) {
      const holes = [...message.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!)
      const told = Object.fromEntries(holes.map((name) => [name, `‹${name}›`]))
      const forms = message.split(' | ')
      for (const [i, form] of forms.entries()) {
        // Two forms are for one and for more, three for none as well.
        const count = forms.length === 2 ? i + 1 : i
        const counted = forms.length > 1 ? { ...told, count: `${count}`, n: `${count}` } : told
        const shown = forms.length > 1 ? t(key, { ...counted, count, n: count }, count) : t(key, counted)
        expect(shown, key).toBe(read(form, counted))
      }
    }
  })
})
