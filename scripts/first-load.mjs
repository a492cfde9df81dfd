// Adds up what a browser fetches, compressed, to show the first screen of a job: the page, its scripts and styles with
// everything they import at once, the board's own chunks, and both fonts. Fails above the limit.
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'

const [dist, limit] = [process.argv[2], Number(process.argv[3])]
const assets = readdirSync(join(dist, 'assets'))
const seen = new Set()

function take(name) {
  if (seen.has(name) || !assets.includes(name)) return
  seen.add(name)
  if (!name.endsWith('.js')) return
  const text = readFileSync(join(dist, 'assets', name), 'utf8')
  for (const [, found] of text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) take(found)
}

const page = readFileSync(join(dist, 'index.html'), 'utf8')
for (const [, name] of page.matchAll(/\/assets\/([^"']+)/g)) take(name)
for (const view of ['JobFrame', 'BoardView']) {
  for (const name of assets.filter((one) => one.startsWith(`${view}-`))) take(name)
}
// Western pages fetch the latin cut of each variable font.
for (const name of assets.filter((one) => /latin-wght-normal.*\.woff2$/.test(one) && !one.includes('latin-ext')))
  seen.add(name)

const size = (name) => {
  const bytes = readFileSync(join(dist, 'assets', name))
  return name.endsWith('.woff2') ? bytes.length : gzipSync(bytes).length
}
const total = gzipSync(page).length + [...seen].reduce((sum, name) => sum + size(name), 0)
console.log(`${seen.size} files, ${(total / 1000).toFixed(0)} kB compressed, limit ${limit} kB`)
process.exit(total / 1000 <= limit ? 0 : 1)
