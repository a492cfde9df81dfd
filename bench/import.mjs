// Times what a file costs through the server: 5,000 lines of CSV checked, a model of 2,000 surfaces, a workbook of 2,000 surfaces out.
// Usage: node bench/import.mjs http://127.0.0.1:5210 [sign-in name] [password]
import { performance } from 'node:perf_hooks'
import { ask, who } from './server.mjs'

async function time(what, run) {
  await run()
  const times = []
  for (let i = 0; i < 5; i++) {
    const start = performance.now()
    await run()
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  console.log(`${what}: median ${times[2].toFixed(0)} ms, greatest ${times[4].toFixed(0)} ms (5 calls, round trip)`)
}

const base64 = (text) => Buffer.from(text).toString('base64')
const point = (p) => `<CartesianPoint>${p.map((c) => `<Coordinate>${c}</Coordinate>`).join('')}</CartesianPoint>`
const loop = (points) => `<PlanarGeometry><PolyLoop>${points.map(point).join('')}</PolyLoop></PlanarGeometry>`
const surface = (i) =>
  `<Surface id="s${i}" surfaceType="ExteriorWall"><Name>Wall ${i}</Name>${loop([
    [i, 0, 0],
    [i + 4, 0, 0],
    [i + 4, 0, 3],
    [i, 0, 3],
  ])}<Opening id="o${i}">${loop([
    [i + 1, 0, 1],
    [i + 2, 0, 1],
    [i + 2, 0, 2],
    [i + 1, 0, 2],
  ])}</Opening></Surface>`

await ask('POST', '/api/session', who)
const job = (
  await (
    await ask('POST', '/api/jobs', {
      version: null,
      units: 'us',
      fields: { name: 'Bench: imports', climateZone: '6A' },
    })
  ).json()
).id
const csv =
  'name,kind,length (ft),height (ft),openings\n' +
  Array.from({ length: 5000 }, (_, i) => `Wall ${i},stud wall,${20 + (i % 17)},9,${1 + (i % 3)} x 3' x 4'`).join('\n')
await time('CSV of 5,000 lines parsed and checked', async () =>
  (await ask('POST', `/api/jobs/${job}/imports/table`, { content: base64(csv), units: 'us' })).json(),
)
const model = `<gbXML lengthUnit="Meters"><Campus>${Array.from({ length: 2000 }, (_, i) => surface(i)).join('')}</Campus></gbXML>`
await time('gbXML of 2,000 surfaces read and checked', async () =>
  (await ask('POST', `/api/jobs/${job}/imports/model`, { content: base64(model) })).json(),
)
const found = await (await ask('POST', `/api/jobs/${job}/imports/model`, { content: base64(model) })).json()
const start = performance.now()
await ask('POST', `/api/jobs/${job}/imports/accept`, {
  units: 'metric',
  rows: found.rows.map(({ line, fields, note }) => ({ line, fields, note })),
})
console.log(`2,000 surfaces taken: ${(performance.now() - start).toFixed(0)} ms`)
await time('workbook of 2,000 surfaces', async () =>
  (await ask('GET', `/api/jobs/${job}/surfaces.xlsx?units=us`)).arrayBuffer(),
)
