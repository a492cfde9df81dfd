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
    'prove',
  ],
])
/** Parts of books of the first screen that only such pages show: sentences of their findings, by the beginning of their names. */
const LATER_PARTS: Record<string, RegExp> = {
  finding: new RegExp(
    '^(loggedLift|done$|drumsLogged|runningYield|setsLast|oneLift|liftHeat|' +
      'depth|reEntry|coverHold|defectOpen|probeChecked|sample|proof|airTarget|airReduction)',
  ),
  cited: /^(toleranceInterval|unevenFoam|depth[PA]|reEntry|proofLogged|gaugeBlock|inspectionBeforeCover|airTarget)/,
}
const FILE = new URL('./src/i18n/en.json', import.meta.url).pathname
const NAME = /^virtual:words\/(first|later)$/

type Book = Record<string, unknown>

/** What of a book belongs to the later part, or to the first. */
function partOf(name: string, book: Book, later: boolean): Book {
  const isLater = (key: string) => LATER.has(name) || (LATER_PARTS[name]?.test(key) ?? false)
  return Object.fromEntries(Object.entries(book).filter(([key]) => isLater(key) === later))
}

/** Gives the catalogue to the page in two parts: `virtual:words/first` and `virtual:words/later`. */
export const words = (): Plugin => ({
  name: 'words',
  resolveId: (id) => (NAME.test(id) ? `\0${id}` : undefined),
  load(id) {
    const part = NAME.exec(id.replace('\0', ''))?.[1]
    if (!part) return undefined
    this.addWatchFile(FILE)
    const books = Object.entries(JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, Book>)
    const own = books.map(([name, book]) => [name, partOf(name, book, part === 'later')] as const)
    const filled = Object.fromEntries(own.filter(([, book]) => Object.keys(book).length))
    return `export default JSON.parse(${JSON.stringify(JSON.stringify(filled))})`
  },
})
