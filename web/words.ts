import { readFileSync } from 'node:fs'
import type { Plugin } from 'vite'

/** Books of the catalogue for pages nobody starts on: they come after the first screen. */
const LATER = new Set([
  ...[
    'help',
    'pocket',
    'links',
    'people',
    'book',
    'programs',
    'past',
    'alternatives',
    'kits',
    'routes',
    'dataFile',
    'sheets',
    'means',
    'templates',
    'hours',
    'survey',
    'choose',
    'section',
    'price',
    'order',
    'materials',
    'rig',
    'sequence',
    'spray',
  ],
])
const FILE = new URL('./src/i18n/en.json', import.meta.url).pathname
const NAME = /^virtual:words\/(first|later)$/

/** Gives the catalogue to the page in two parts: `virtual:words/first` and `virtual:words/later`. */
export const words = (): Plugin => ({
  name: 'words',
  resolveId: (id) => (NAME.test(id) ? `\0${id}` : undefined),
  load(id) {
    const part = NAME.exec(id.replace('\0', ''))?.[1]
    if (!part) return undefined
    this.addWatchFile(FILE)
    const books = Object.entries(JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, unknown>)
    const own = books.filter(([book]) => LATER.has(book) === (part === 'later'))
    return `export default JSON.parse(${JSON.stringify(JSON.stringify(Object.fromEntries(own)))})`
  },
})
