// The disk under the database fills up while people enter things: first its tables find no room, then its log, which ends it. Then there
// is room again. What was acknowledged must stand, each once; what was refused must have been told so, and is kept when sent again.
// node tests/hard/disk.mjs DATA-FOLDER PORT
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { pause, signedIn } from './asking.mjs'
import { startProduct } from './running.mjs'

const [data, port] = process.argv.slice(2)
const [SIZE, LEFT, PART] = ['900m', 3e6, 1e8]
const NEXT_FILE = "select pg_switch_wal() from (select pg_logical_emit_message(false, 'more', 'of it')) as more"
const [REFUSED, PER_SURFACE] = [20, 40]

const room = () => {
  const { bavail, bsize } = statfsSync(data)
  return bavail * bsize
}
function fillUp() {
  for (let part = 0; room() > LEFT; part += 1)
    writeFileSync(`${data}/filler${part}`, Buffer.alloc(Math.min(room() - LEFT, PART)))
}
// To the last byte: what is refused here is what there is no room for.
const useUp = () => execFileSync('sh', ['-c', `cat /dev/zero > ${data}/filler-last 2>/dev/null || true`])
const makeRoom = () => execFileSync('sh', ['-c', `rm -f ${data}/filler*`])

/** Somebody who enters notes, each under an id of its own, on surface after surface. */
async function writer(owner) {
  const job = (await owner.send('/api/jobs', { units: 'us', fields: { name: 'Full', climateZone: '6A' } })).body.id
  const wall = { units: 'us', fields: { name: 'Wall', size: "20' x 9'" } }
  const surfaces = []
  const [kept, waiting, said] = [[], [], {}]
  const wordsOf = (n) => `${n} `.padEnd(450, 'drip ')
  const send = ({ surface, id, n }) => {
    const note = { id, units: 'us', fields: { kind: 'leak', words: wordsOf(n) } }
    return owner.send(`/api/surfaces/${surface}/notes`, note).catch(() => ({ status: 0 }))
  }
  return {
    kept,
    waiting,
    said,
    /** Surfaces are there before: one that cannot be made would only hide what is asked for. */
    async prepare(count) {
      while (surfaces.length < count) surfaces.push((await owner.send(`/api/jobs/${job}/surfaces`, wall)).body.id)
    },
    async write() {
      const n = kept.length + waiting.length
      const entry = { surface: surfaces[Math.floor(n / PER_SURFACE) % surfaces.length], id: randomUUID(), n }
      const { status, body } = await send(entry)
      if (status === 200) return kept.push(entry)
      if (status >= 400 && status < 500) throw new Error(`A note was refused: ${status} ${body.detail}`)
      const told = `${status} ${body?.detail ?? ''}`
      said[told] = (said[told] ?? 0) + 1
      return waiting.push(entry)
    },
    async sendAgain() {
      let again = 0
      for (const entry of waiting) {
        for (let tries = 0; tries < 60 && (await send(entry)).status !== 200; tries += 1) await pause(500)
        again += 1
      }
      return again
    },
    read: () => owner.ask('GET', `/api/jobs/${job}/surfaces`).catch(() => ({ status: 0 })),
    async stand() {
      const times = new Map()
      for (const surface of surfaces)
        for (const { words } of (await owner.ask('GET', `/api/surfaces/${surface}/notes`)).body) {
          const n = Number(words.split(' ')[0])
          times.set(n, (times.get(n) ?? 0) + 1)
        }
      return times
    },
  }
}

async function tried() {
  const product = await startProduct(data, port)
  const notes = await writer(await signedIn(product.address))
  await notes.prepare(100)
  // Files of the log that are used up stand ready to be used again: so the tables are the first to find no room.
  for (let files = 0; files < 4; files += 1) product.inDatabase(NEXT_FILE)
  product.inDatabase('checkpoint')
  fillUp()
  while (notes.waiting.length < REFUSED && notes.kept.length < 20_000) await notes.write()
  const [atTables, reading] = [notes.waiting.length, await notes.read()]
  product.forgetConnections()
  useUp()
  for (let i = 0; i < 5; i += 1) await notes.write()
  const atConnections = notes.waiting.length - atTables
  makeRoom()
  for (let i = 0; i < 20 && (await notes.read()).status !== 200; i += 1) await pause(500)
  fillUp()
  let ended = false
  for (let files = 0; !ended && files < 40; files += 1) {
    product.inDatabase(NEXT_FILE)
    ended = !product.clusterStands()
  }
  for (let i = 0; i < REFUSED; i += 1) await notes.write()
  makeRoom()
  const again = await notes.sendAgain()
  const stand = await notes.stand()
  await product.stop()

  const lost = notes.kept.filter(({ n }) => !stand.has(n)).length
  const missing = notes.waiting.filter(({ n }) => !stand.has(n)).length
  const twice = [...stand.values()].filter((count) => count > 1).length
  for (const [told, count] of Object.entries(notes.said)) console.log(`${count} x ${told}`)
  console.log(
    `disk full: ${notes.kept.length} acknowledged, ${lost} lost, ${twice} kept twice; ${atTables} refused as tables found no room ` +
      `(reading meanwhile: ${reading.status}), ${atConnections} as connections did, ` +
      `${notes.waiting.length - atTables - atConnections} as the log ${ended ? 'found none' : 'still found some'}; ` +
      `${again - missing} of them kept once there was room`,
  )
  const unlike = Object.keys(notes.said).filter((told) => !told.startsWith('503 ')).length
  if (unlike > 0)
    execFileSync('sh', ['-c', `tail -n 25 ${data}/postgres.log; grep -h '"@l":"Error"' ${data}/logs/* | tail -n 5`], {
      stdio: 'inherit',
    })
  return lost + twice + unlike + missing + (ended && [200, 503].includes(reading.status) ? 0 : 1)
}

mkdirSync(data, { recursive: true })
let faults = 0
try {
  execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'small', data], { stdio: 'pipe' })
  faults = 1
} catch {
  console.log('disk full: not tried, since a small disk of its own may not be mounted here')
}
if (faults > 0) {
  try {
    faults = await tried()
  } finally {
    await pause(1000)
    execFileSync('umount', ['-l', data])
  }
}
rmSync(data, { recursive: true, force: true })
process.exit(faults > 0 ? 1 : 0)
