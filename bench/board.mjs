// Times what kept figures are read by: the board of a job with 200 surfaces, the sets of one of them, the list of 200 jobs; the board
// after an edit; and what is reckoned anew: the weighing of all surfaces, their price, a section step. All through the server.
// Usage: node bench/board.mjs http://127.0.0.1:5210 [sign-in name] [password]
import { performance } from 'node:perf_hooks'
import { ask as asked, who } from './server.mjs'

const SURFACES = 200
const CALLS = 50
const JOBS = 200

/** The answer, and how long the server says it took. */
async function ask(method, path, body) {
  const answer = await asked(method, path, body)
  return { json: await answer.json(), timing: answer.headers.get('server-timing') }
}

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const show = (what, values) =>
  console.log(
    `${what}: median ${median(values).toFixed(1)} ms, least ${Math.min(...values).toFixed(1)}, ` +
      `greatest ${Math.max(...values).toFixed(1)} (${values.length} calls)`,
  )

await ask('POST', '/api/session', who)
const job = (
  await ask('POST', '/api/jobs', {
    version: null,
    units: 'us',
    fields: { name: 'Bench: 200 surfaces', climateZone: '6A' },
  })
).json.id
const kinds = ['studWall', 'unventedDeck', 'bandJoist', 'basementWall', 'ventedRafters', 'metalWall']
const sizes = {
  studWall: "24' x 9'",
  unventedDeck: "12' x 40' at 9:12",
  bandJoist: "90' x 11'",
  basementWall: "90' x 7'",
  ventedRafters: "12' x 40' at 9:12",
  metalWall: "60' x 14'",
}
let last
for (let i = 0; i < SURFACES; i++) {
  const kind = kinds[i % kinds.length]
  const fields = {
    name: `Surface ${i + 1}`,
    kind,
    size: sizes[kind],
    sheet: i % 3 ? 'marl-cc-20' : 'fleece-oc-5',
    thickness: '3 1/2',
  }
  last = (await ask('POST', `/api/jobs/${job}/surfaces`, { version: null, units: 'us', fields })).json
  const readings = {
    substrate: '55',
    air: '58',
    humidity: '60',
    drumA: '71',
    drumB: '72',
    ...(last.substrate === 'wood' ? { wood: '14' } : { foundDry: 'yes' }),
  }
  await ask('POST', `/api/surfaces/${last.id}/readings`, { version: null, units: 'us', fields: readings })
}

const timed = async (what) => {
  const start = performance.now()
  const { timing } = await what()
  return { whole: performance.now() - start, server: Number(/app;dur=([\d.]+)/.exec(timing ?? '')?.[1]) }
}
await timed(() => ask('GET', `/api/jobs/${job}/board`))
const boards = []
for (let i = 0; i < CALLS; i++) boards.push(await timed(() => ask('GET', `/api/jobs/${job}/board`)))
show(
  `board of ${SURFACES} surfaces, on the server`,
  boards.map((b) => b.server),
)
show(
  `board of ${SURFACES} surfaces, round trip`,
  boards.map((b) => b.whole),
)

const sets = []
await timed(() => ask('GET', `/api/surfaces/${last.id}/sets`))
for (let i = 0; i < CALLS; i++) sets.push(await timed(() => ask('GET', `/api/surfaces/${last.id}/sets`)))
show(
  `sets of one of ${SURFACES} surfaces, on the server`,
  sets.map((s) => s.server),
)

const edited = []
for (let i = 0; i < 10; i++) {
  last = (
    await ask('PATCH', `/api/surfaces/${last.id}`, {
      version: last.version,
      units: 'us',
      fields: { thickness: i % 2 ? '3' : '3 1/4' },
    })
  ).json
  edited.push(await timed(() => ask('GET', `/api/jobs/${job}/board`)))
}
show(
  `board of ${SURFACES} surfaces after an edit of one, on the server`,
  edited.map((e) => e.server),
)

for (let i = (await ask('GET', '/api/jobs')).json.length; i < JOBS; i++) {
  const small = { version: null, units: 'us', fields: { name: `Bench: small job ${i}`, climateZone: '6A' } }
  const { id } = (await ask('POST', '/api/jobs', small)).json
  for (const kind of ['studWall', 'bandJoist'])
    await ask('POST', `/api/jobs/${id}/surfaces`, {
      version: null,
      units: 'us',
      fields: { name: kind, kind, size: sizes[kind], sheet: 'marl-cc-20', thickness: '3' },
    })
}
while ((await ask('GET', '/api/jobs')).json.some((card) => !card.upToDate)) await new Promise((r) => setTimeout(r, 300))
const lists = []
for (let i = 0; i < CALLS; i++) lists.push(await timed(() => ask('GET', '/api/jobs')))
show(
  `list of ${JOBS} jobs, on the server`,
  lists.map((l) => l.server),
)

const question = (await ask('GET', `/api/surfaces/${last.id}/section`)).json.question
const steps = []
for (let i = 0; i < CALLS; i++)
  steps.push(await timed(() => ask('POST', '/api/compute/section', { ...question, thicknessMm: 50 + i })))
show(
  'section after a thickness step, round trip',
  steps.map((s) => s.whole),
)

// All systems of every surface with their flip points, line by line as the page gets them.
const weighing = []
for (let i = 0; i < 3; i++) {
  const start = performance.now()
  const answer = await asked('GET', `/api/jobs/${job}/choose`)
  const lines = (await answer.text()).trim()
  if (!answer.ok || !lines.includes('envelope')) throw new Error(lines.slice(0, 200))
  weighing.push(performance.now() - start)
}
show(`systems of ${SURFACES} surfaces weighed`, weighing)

const prices = []
for (let i = 0; i < 5; i++) prices.push(await timed(() => ask('GET', `/api/jobs/${job}/price`)))
show(
  `price of ${SURFACES} surfaces with all cold routes, round trip`,
  prices.map((p) => p.whole),
)
