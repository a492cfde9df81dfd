// Everything of others that goes out with the product, with its licence, from the lock files and the packages themselves.
// Writes docs/third-party.md; with --check it only looks whether that is current and every licence is one of those allowed.
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { homedir } from 'node:os'
import { join } from 'node:path'

const ALLOWED = [
  'MIT',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'ISC',
  '0BSD',
  'OFL-1.1',
  'PostgreSQL',
  'MS-PL',
  'MPL-2.0',
]
const LIST = 'docs/third-party.md'

// Packages that name their licence by a page or a file: what stands there, read once by a person.
const READ = {
  CsvHelper: 'Apache-2.0',
  'Otp.NET': 'MIT',
  'Npgsql.EntityFrameworkCore.PostgreSQL': 'PostgreSQL',
}

const json = (path) => JSON.parse(readFileSync(path, 'utf8'))

function ofNpm() {
  const { packages } = json('web/package-lock.json')
  return Object.entries(packages)
    .filter(([path, one]) => path && !one.dev && !one.devOptional && existsSync(join('web', path, 'package.json')))
    .map(([path]) => {
      const { name, version, license, licenses } = json(join('web', path, 'package.json'))
      return { name, version, licence: license ?? licenses?.[0]?.type ?? '?', kind: kindOf(name) }
    })
}

const kindOf = (name) => (name.startsWith('@fontsource') ? 'font' : 'page')

function ofNuGet() {
  const folder = process.env.NUGET_PACKAGES ?? join(homedir(), '.nuget/packages')
  const shipped = readdirSync('src').filter((one) => existsSync(`src/${one}/packages.lock.json`))
  const found = new Map()
  for (const project of shipped) {
    for (const [name, one] of Object.values(json(`src/${project}/packages.lock.json`).dependencies).flatMap(
      Object.entries,
    )) {
      if (one.type !== 'Project') found.set(name, one.resolved)
    }
  }
  return [...found].map(([name, version]) => {
    const spec = join(folder, name.toLowerCase(), version, `${name.toLowerCase()}.nuspec`)
    const text = existsSync(spec) ? readFileSync(spec, 'utf8') : ''
    const said = /<license type="expression">([^<]+)</.exec(text)?.[1]
    const byUrl = /<licenseUrl>[^<]*(MIT|apache-2)/i.exec(text)?.[1]
    const licence = said ?? READ[name] ?? (byUrl ? (byUrl.toLowerCase() === 'mit' ? 'MIT' : 'Apache-2.0') : '?')
    return { name, version, licence, kind: /NativeAssets/.test(name) ? 'native' : 'server' }
  })
}

// What the product needs beside its packages; installed from the machine's own distribution.
const BESIDE = [
  { name: 'PostgreSQL', version: '', licence: 'PostgreSQL', kind: 'program beside it' },
  { name: '.NET runtime', version: '', licence: 'MIT', kind: 'program beside it' },
  { name: 'DejaVu fonts', version: '', licence: 'Bitstream-Vera', kind: 'font of documents' },
  { name: 'Unifont', version: '', licence: 'OFL-1.1', kind: 'font of documents' },
]

// Packages that only their data go out of, in a file of the product's own.
const DATA = ['@zxcvbn-ts/language-common'].map((name) => {
  const { version, license } = json(join('web/node_modules', name, 'package.json'))
  return { name, version, licence: license, kind: 'data (passwords that are guessed first)' }
})

const every = [...ofNpm(), ...ofNuGet(), ...BESIDE, ...DATA].sort(
  (a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name),
)
const isAllowed = (licence) =>
  licence
    .replace(/[()]/g, '')
    .split(/ OR /)
    .some((choice) => choice.split(/ AND /).every((one) => [...ALLOWED, 'Bitstream-Vera'].includes(one.trim())))

const lines = every.map(({ name, version, licence, kind }) => `| ${name} | ${version} | ${licence} | ${kind} |`)
const text = `# Work of others in the product

Made by \`scripts/licences.mjs\` from the lock files; \`./test\` looks whether it is current and whether every licence is allowed
(${ALLOWED.join(', ')}).

| name | version | licence | what it is |
| --- | --- | --- | --- |
${lines.join('\n')}
`

const refused = every.filter((one) => !isAllowed(one.licence))
for (const one of refused)
  console.error(`${one.name} ${one.version}: licence ${one.licence} is not on the list of those allowed.`)
if (!process.argv.includes('--check')) writeFileSync(LIST, text)
else if (!existsSync(LIST) || readFileSync(LIST, 'utf8') !== text) {
  console.error(`${LIST} is not current: run "node scripts/licences.mjs".`)
  process.exitCode = 1
}
if (refused.length) process.exitCode = 1
