// Prints how much of the code the tests ran through, from the Cobertura files of all runners: a line counts once it was run by any.
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join, relative } from 'node:path'

const [folder] = process.argv.slice(2)
const reports = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.cobertura.xml') || file.endsWith('cobertura-coverage.xml'))
  .map((file) => join(folder, file))

/** Hits by line of every file. */
const files = new Map()
for (const report of reports) {
  const text = readFileSync(report, 'utf8')
  const root = /<source>([^<]*)<\/source>/.exec(text)?.[1] ?? ''
  for (const [, name, body] of text.matchAll(/<class [^>]*filename="([^"]+)"[^>]*>([\s\S]*?)<\/class>/g)) {
    const path = relative(process.cwd(), name.startsWith('/') ? name : join(root, name))
    const lines = files.get(path) ?? new Map()
    for (const [, number, hits] of body.matchAll(/<line number="(\d+)" hits="(\d+)"/g)) {
      lines.set(number, (lines.get(number) ?? 0) + Number(hits))
    }
    files.set(path, lines)
  }
}

const partOf = (path) => /^(src\/[^/]+|web\/src\/(?:stages\/[^/]+|[^/]+))/.exec(path)?.[1]
const isWritten = (path) =>
  !/\/obj\/|Migrations\/|schema\.d\.ts|\.test\.ts/.test(path) && statSync(path, { throwIfNoEntry: false })
const parts = new Map()
for (const [path, lines] of files) {
  const part = partOf(path)
  if (!part || !isWritten(path)) continue
  const sum = parts.get(part) ?? { lines: 0, run: 0 }
  sum.lines += lines.size
  sum.run += [...lines.values()].filter((hits) => hits > 0).length
  parts.set(part, sum)
}

const row = (name, { lines, run }) =>
  `${((100 * run) / Math.max(1, lines)).toFixed(1).padStart(6)} %  ${String(run).padStart(6)} of ${String(lines).padStart(6)} lines  ${name}`
const sums = [...parts].sort(([a], [b]) => a.localeCompare(b))
for (const [name, sum] of sums) console.log(row(name, sum))
const whole = sums.reduce((all, [, one]) => ({ lines: all.lines + one.lines, run: all.run + one.run }), {
  lines: 0,
  run: 0,
})
console.log(row('all of it', whole))
if (!whole.lines) {
  console.error('No report of coverage was found.')
  process.exit(1)
}
