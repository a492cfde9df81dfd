import type { Page } from '@playwright/test'
import { expect } from './product'

// What the browser itself writes of days and hours, in the reader's language; units and kinds of files, which are alike in all.
const written = (['short', 'long'] as const).flatMap((form) => {
  const format = new Intl.DateTimeFormat('en-US', { weekday: form, month: form, day: 'numeric', hour: 'numeric' })
  return Array.from({ length: 730 }, (_, i) => format.format(new Date(2026, 0, 1, 12 * i)).match(/[A-Za-z]+/g)!).flat()
})
const DAYS = new RegExp(`\\b(${[...new Set(written)].join('|')})\\b`, 'g')
const SIGNS = /\b(cfm|Pa|CSV|XLSX|ft|in|mm|kg|lb|min|perm)\b/g

// Keys of the vocabulary are one word; what people are called, and what they wrote, may be one too.
const isOfPeople = (key: string) => /(by|title|name|place|instrument|crew|where|words)$/i.test(key)

/** Everything the server said, word for word: names that people gave, figures as they are printed; no keys of the vocabulary. */
export function listenTo(page: Page) {
  const said = new Set<string>()
  const take = (value: unknown, key = '') => {
    if (typeof value === 'string') {
      if (value.trim().length > 1 && (isOfPeople(key) || !/^[a-z][A-Za-z]*$/.test(value))) said.add(value.trim())
    } else if (value && typeof value === 'object')
      Object.entries(value).forEach(([of, one]) => take(one, Array.isArray(value) ? key : of))
  }
  page.on('response', async (answer) => {
    if (answer.headers()['content-type']?.includes('json')) take(await answer.json().catch(() => null))
  })
  return said
}

/** Puts every message of the catalogue between marks, as another language would put other words there. */
const inMarks = (page: Page) =>
  page.evaluate(() => {
    interface Words {
      [key: string]: string | Words
    }
    const host = document.querySelector('#app') as Element & { __vue_app__: { _context: { provides: object } } }
    const { provides } = host.__vue_app__._context
    const { global } = Object.getOwnPropertySymbols(provides)
      .map((symbol) => (provides as Record<symbol, { global?: unknown }>)[symbol])
      .find((one) => one?.global) as {
      global: {
        getLocaleMessage(of: string): Words
        setLocaleMessage(of: string, to: Words): void
        locale: { value: string }
      }
    }
    const marked = (words: Words): Words =>
      Object.fromEntries(
        Object.entries(words).map(([key, one]) => [
          key,
          // Which language's marks and months it is, is no word.
          key === 'locale'
            ? one
            : typeof one === 'string'
              ? one
                  .split(' | ')
                  .map((form) => `⟦${form}⟧`)
                  .join(' | ')
              : marked(one),
        ]),
      )
    global.setLocaleMessage('marked', marked(global.getLocaleMessage('en')))
    global.locale.value = 'marked'
  })

/** All text of the page in its order, a line for each piece, and what is read aloud or shown in its place. */
const textOf = (page: Page) =>
  page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const found: string[] = []
    while (walker.nextNode()) {
      if (!walker.currentNode.parentElement!.closest('script, style'))
        found.push(walker.currentNode.textContent!.trim())
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext']) {
      for (const one of document.body.querySelectorAll(`[${name}]`)) found.push(one.getAttribute(name)!)
    }
    return found.filter(Boolean).join('\n')
  })

/** What is left of a text without marked messages, what the server said, days and signs. */
function left(text: string, said: Set<string>) {
  let rest = text
  // A message may hold others, and figures that stand in elements of their own.
  while (/⟦[^⟦⟧]*⟧/.test(rest)) rest = rest.replace(/⟦[^⟦⟧]*⟧/g, ' ')
  for (const one of [...said].sort((a, b) => b.length - a.length)) rest = rest.replaceAll(one, ' ')
  rest = rest.replace(DAYS, ' ').replace(SIGNS, ' ')
  return [...new Set(rest.split('\n').map((line) => line.trim()))].filter((line) => /\p{L}{2}/u.test(line))
}

/** Words on a page that are not in the catalogue, nor said by the server. */
export async function unmarkedOn(page: Page, what: string, said: Set<string>) {
  await inMarks(page)
  await expect(page.locator('main')).toContainText('⟦')
  const text = await textOf(page)
  expect(left(`${text}\nNot translated`, said)).toContain('Not translated')
  return left(text, said).map((rest) => `${what}: ${rest}`)
}
