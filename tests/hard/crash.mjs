// Server and database are killed again and again while people enter things. What was acknowledged must stand afterwards, each once;
// what got no answer is sent again under its id, as a page does.
// node tests/hard/crash.mjs DATA-FOLDER PORT [KILLS]
import { randomUUID } from 'node:crypto'
import { pause, signedIn } from './asking.mjs'
import { chance } from './random.mjs'
import { startProduct } from './running.mjs'

const [data, port, kills = '12'] = process.argv.slice(2)
const WRITERS = 6
const die = chance(Number(kills))

let product = await startProduct(data, port)
let owner = await signedIn(product.address)
const job = (await owner.send('/api/jobs', { units: 'us', fields: { name: 'Killed', climateZone: '6A' } })).body.id
const wall = { units: 'us', fields: { name: 'Wall', size: "20' x 9'" } }
const walls = []
for (let i = 0; i < WRITERS; i += 1) walls.push((await owner.send(`/api/jobs/${job}/surfaces`, wall)).body.id)

const [ledger, said, state] = [new Set(), { again: 0, untrue: 0 }, { done: false, down: false }]

async function write(i) {
  for (let n = 0; !state.done; n += 1) {
    const [id, words] = [randomUUID(), `${i}-${n}`]
    const note = { id, units: 'us', fields: { kind: 'leak', words } }
    // An earlier try that nobody can tell the end of may have been kept, whatever a later one says of itself.
    for (let open = false; !ledger.has(words) && !state.done;) {
      if (state.down) {
        await pause(50)
        continue
      }
      const answer = await owner.send(`/api/surfaces/${walls[i]}/notes`, note).catch(() => ({ status: 0 }))
      if (answer.status === 200) {
        ledger.add(words)
      } else {
        said.again += 1
        const saysNothing = /Nothing was kept this time|Nothing was written/.test(answer.body?.detail ?? '')
        if (saysNothing && !open && (await stands(i, words))) said.untrue += 1
        open ||= !saysNothing
        await pause(50)
      }
    }
  }
}

async function stands(i, words) {
  const { status, body } = await owner.ask('GET', `/api/surfaces/${walls[i]}/notes`).catch(() => ({ status: 0 }))
  return status === 200 && body.some((one) => one.words === words)
}

const writers = Promise.all(Array.from({ length: WRITERS }, (_, i) => write(i)))
for (let kill = 1; kill <= Number(kills); kill += 1) {
  await pause(die.between(3000, 7000))
  const what = ['server', 'backend', 'cluster', 'both'][kill % 4]
  const before = ledger.size
  if (what === 'backend') product.killBackend()
  else {
    state.down = what !== 'cluster'
    if (what !== 'cluster') product.killServer()
    if (what !== 'server') product.killCluster()
    // A database that ended by itself is started again by what started it.
    if (what !== 'cluster') {
      await product.stop()
      product = await startProduct(data, port)
    }
    state.down = false
  }
  console.log(`killed ${what}: ${before} acknowledged before`)
}
await pause(1500)
state.done = true
await writers
const counts = {}
for (const surface of walls)
  for (const { words } of (await owner.ask('GET', `/api/surfaces/${surface}/notes`)).body)
    counts[words] = (counts[words] ?? 0) + 1
const lost = [...ledger].filter((words) => !counts[words]).length
const twice = Object.values(counts).filter((times) => times > 1).length
await product.stop()
console.log(
  `${kills} kills, ${ledger.size} acknowledged: ${lost} lost, ${twice} kept twice, ${said.again} sent again, ` +
    `"nothing was kept this time" untrue ${said.untrue} times; the same sign-in all the while`,
)
process.exitCode = lost + twice + said.untrue > 0 ? 1 : 0
