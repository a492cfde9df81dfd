// Ten thousand requests made by chance from the API description: right ones, wrong ones and nonsense. None may be answered by a fault of
// the server, and every refusal must say in words what is wrong.
// node tests/hard/fuzz.mjs ADDRESS [HOW MANY] [SEED]
import { readFileSync, readdirSync } from 'node:fs'
import { signedIn } from './asking.mjs'
import { idsSeenBy, kindOf, METHODS, operationsOf } from './described.mjs'
import { chance } from './random.mjs'
import { bodyOf, spoilt, textOf } from './values.mjs'

const [address, many = '10000', given = String(Date.now() % 1e9)] = process.argv.slice(2)
const [count, seed, AT_ONCE, SHOWN] = [Number(many), Number(given), 6, 25]
const die = chance(seed)
const owner = await signedIn(address)
const description = (await owner.ask('GET', '/openapi/v1.json')).body
console.log(`seed ${seed}`)

// What would end the session that asks, or shut its person out.
const ENDS_IT = new Set(['delete /api/session', 'delete /api/session/devices', 'put /api/session/password'])
const operations = operationsOf(description).filter(({ method, path }) => !ENDS_IT.has(`${method} ${path}`))

// A request may meet a record of its own kind or of another.
const idsOf = await idsSeenBy(owner)
const ids = Object.values(idsOf).flat()
const idFor = (path) => {
  const own = idsOf[kindOf(path)]
  return own && die.is(0.8) ? die.of(own) : die.of(ids)
}

// Fields that are typed, by the file of the server that takes them. Which file an endpoint belongs to is learnt from what it takes.
const SERVER = 'src/Umbracell.Server'
const groups = readdirSync(SERVER, { recursive: true })
  .filter((name) => name.endsWith('.cs'))
  .map((name) =>
    [...readFileSync(`${SERVER}/${name}`, 'utf8').matchAll(/fields\.\w+(?:<[^>]*>)?\(\s*"(\w+)"/g)].map(
      (found) => found[1],
    ),
  )
  .filter((names) => names.length > 0)
const liked = {}
function typed(operation) {
  const known = (liked[`${operation.method} ${operation.path}`] ??= [])
  const names = known.length > 0 && die.is(0.8) ? die.of(known) : die.of(groups)
  return {
    names,
    fields: Object.fromEntries(Array.from({ length: 1 + die.below(4) }, () => [die.of(names), textOf(die)])),
  }
}

const file = (await owner.ask('GET', `/api/jobs/${idsOf.jobs[0]}/file`)).body
const me = (await owner.ask('GET', '/api/session')).body

const HEADERS = [
  { accept: 'text/html' },
  { accept: 'application/xml' },
  { accept: 'image/png;q=0.1, */*;q=0' },
  { accept: '\u00e9/\u00e9' },
  { 'content-type': 'application/json; charset=bogus' },
  { 'content-type': 'application/json; charset=utf-16' },
  { 'content-type': 'text/plain' },
  { 'content-type': 'multipart/form-data' },
  { 'content-type': 'application/octet-stream' },
  { 'content-type': 'nonsense' },
  { 'content-encoding': 'gzip' },
  { 'accept-language': 'xx-YY;q=9, ,,' },
  { 'accept-encoding': 'br;q=2, nonsense' },
  { 'if-match': 'nonsense' },
  { 'if-modified-since': 'yesterday' },
  { range: 'bytes=9-2' },
  { origin: 'null' },
  { 'x-forwarded-for': '::::' },
  { 'idempotency-key': '\u00e9' },
  { authorization: 'Bearer nonsense' },
  { cookie: 'umbracell=nonsense' },
]

const ODD_QUERIES = ['%00', '%ff', 'NaN', '1e400', '', '-1', 'x'.repeat(3000)]
const asked = (schema) => encodeURIComponent(String(bodyOf(die, schema, description, ids)).toWellFormed())
const ODD_PATHS = [
  '%00',
  'not-an-id',
  '00000000-0000-0000-0000-000000000000',
  '%ff',
  '..%2f..',
  '\u4f60',
  'a'.repeat(4000),
]

function request() {
  const operation = die.of(operations)
  const path = operation.path.replace(/\{(\w+)\}/g, (_, name) =>
    die.is(0.1) ? die.of(ODD_PATHS) : name === 'item' ? 'masking' : idFor(operation.path),
  )
  const query = (operation.parameters ?? [])
    .filter((one) => one.in === 'query' && die.is(0.8))
    .map(({ name, schema }) => `${name}=${die.is(0.3) ? die.of(ODD_QUERIES) : asked(schema)}`)
    .join('&')
  const headers = die.is(0.15) ? { ...die.of(HEADERS) } : {}
  const content = operation.requestBody?.content ?? {}
  let body
  if (content['application/json']) body = json(operation, content['application/json'].schema)
  else if (content['application/octet-stream'])
    [body, headers['content-type']] = [
      Buffer.from(die.of(['', 'x', textOf(die), 'P6 1 1 255 aaa'])),
      headers['content-type'] ?? 'application/octet-stream',
    ]
  else if (operation.method !== 'get' && die.is(0.3)) body = textOf(die)
  const method = (die.is(0.01) ? die.of(METHODS) : operation.method).toUpperCase()
  return {
    operation,
    method,
    path: path + (query ? `?${query}` : ''),
    headers,
    body: method === 'GET' ? undefined : body,
  }
}

function json(operation, schema) {
  const whole = operation.path === '/api/jobs/file' ? structuredClone(file) : bodyOf(die, schema, description, ids)
  if (whole?.fields) {
    const { names, fields } = typed(operation)
    ;[whole.fields, operation.tried] = [fields, names]
    if ('version' in whole && die.is(0.7)) delete whole.version
  }
  const value = die.is(0.4) ? spoilt(die, whole, ids) : whole
  const text = JSON.stringify(value) ?? ''
  if (!die.is(0.05)) return text
  return die.of([
    text.slice(0, die.below(text.length + 1)),
    '',
    `\ufeff${text}`,
    Buffer.concat([Buffer.from(text), Buffer.from([0xff, 0xfe])]),
    `${text}}`,
    `[${text}]`,
    '['.repeat(500),
    'null',
    '1e999',
  ])
}

// --- what is looked for

const [found, byStatus, wordless] = [[], {}, []]
const endsIt = ({ operation, method, path }) =>
  ENDS_IT.has(`${method.toLowerCase()} ${operation.path}`) || path.includes(me.id)

async function one() {
  const asked = request()
  if (endsIt(asked)) return
  let answer
  try {
    answer = await owner.ask(asked.method, asked.path, asked.body, asked.headers)
  } catch (fault) {
    // What cannot even be sent, such as a letter no header holds, is no answer of the server's.
    if (fault instanceof TypeError && /ByteString|Header|header|Invalid/.test(String(fault) + String(fault.cause)))
      return
    answer = { status: 599, body: String(fault.cause ?? fault), type: '' }
  }
  if (answer.status < 300 && asked.operation.tried)
    liked[`${asked.operation.method} ${asked.operation.path}`].push(asked.operation.tried)
  byStatus[answer.status] = (byStatus[answer.status] ?? 0) + 1
  if (answer.status >= 500) found.push({ ...asked, answer })
  else if (answer.status >= 400 && !says(answer) && !isNoRequest(asked)) wordless.push({ ...asked, answer })
}
// What is no request at all is refused by the web server itself, before anybody could word it: a character with the number 0 in an
// address, letters past ASCII in a header, an address without end.
const isNoRequest = ({ path, headers }) =>
  path.split('?')[0].includes('%00') || path.length > 8000 || /[^\x20-\x7e]/.test(JSON.stringify(headers))
const says = ({ body }) =>
  typeof body === 'object' && [body?.title, body?.detail].some((text) => typeof text === 'string' && text.length > 3)

let sent = 0
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (sent < count) {
      sent += 1
      await one()
    }
  }),
)

function show(kind, list) {
  const alike = {}
  for (const one of list)
    (alike[
      `${one.method} ${one.path
        .replace(/[0-9a-f-]{36}/g, '{id}')
        .split('?')[0]
        .slice(0, 60)} ${one.answer.status}`
    ] ??= []).push(one)
  for (const [name, group] of Object.entries(alike).slice(0, SHOWN)) {
    const [{ path, headers, body, answer }] = group
    console.log(`${kind} ${group.length} x ${name}`)
    for (const told of [`${path} ${JSON.stringify(headers)}`, String(body ?? ''), JSON.stringify(answer.body)])
      console.log(`  ${told.slice(0, 300)}`)
  }
}
show('FAULT', found)
show('WORDLESS', wordless)
console.log(
  Object.entries(byStatus)
    .map(([status, n]) => `${n} x ${status}`)
    .join(', '),
)
console.log(
  `${found.length} faults of the server and ${wordless.length} refusals without words in ${count} requests, seed ${seed}`,
)
process.exitCode = found.length + wordless.length > 0 ? 1 : 0
