// The disk of the database fills up while people enter things, and is given room again. What was acknowledged must stand, each once;
// what was refused must have been told so; the same sign-in goes on.
// node tests/hard/disk.mjs DATA-FOLDER PORT
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { pause, signedIn } from './asking.mjs'
import { startProduct } from './running.mjs'

const [data, port] = process.argv.slice(2)
const [SIZE, LEFT] = ['900m', 6e6]
mkdirSync(data, { recursive: true })
try {
  execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'small', data], { stdio: 'pipe' })
} catch {
  console.log('a disk that fills up: not tried, since none of its own can be mounted here')
  process.exit(0)
}

async function tried() {
  const product = await startProduct(data, port)
  const owner = await signedIn(product.address)
  const job = (await owner.send('/api/jobs', { units: 'us', fields: { name: 'Full', climateZone: '6A' } })).body.id
  const wall = { units: 'us', fields: { name: 'Wall', size: "20' x 9'" } }
  const surface = (await owner.send(`/api/jobs/${job}/surfaces`, wall)).body.id
  const notes = `/api/surfaces/${surface}/notes`
  const words = (n) => `${n} `.padEnd(900, 'drip ')
  const send = (id, n) => owner.send(notes, { id, units: 'us', fields: { kind: 'leak', words: words(n) } })

  const { bavail, bsize } = statfsSync(data)
  for (let left = bavail * bsize - LEFT, part = 0; left > 0; left -= 1e8, part += 1)
    writeFileSync(`${data}/filler${part}`, Buffer.alloc(Math.min(left, 1e8)))

  const [kept, refused, said] = [[], [], {}]
  for (let n = 0; refused.length < 20 && n < 20_000; n += 1) {
    const id = randomUUID()
    const { status, body } = await send(id, n).catch(() => ({ status: 0 }))
    if (status === 200) kept.push(n)
    else {
      refused.push([id, n])
      const told = `${status} ${body?.detail ?? ''}`
      said[told] = (said[told] ?? 0) + 1
    }
  }
  const reading = await owner.ask('GET', `/api/jobs/${job}/surfaces`).catch(() => ({ status: 0 }))
  execFileSync('sh', ['-c', `rm -f ${data}/filler*`])
  let again = 0
  for (const [id, n] of refused) {
    for (let tries = 0; tries < 60; tries += 1) {
      const { status } = await send(id, n).catch(() => ({ status: 0 }))
      if (status === 200) {
        again += 1
        break
      }
      await pause(500)
    }
  }
  const stand = (await owner.ask('GET', notes)).body
  await product.stop()
  const times = new Map()
  for (const one of Array.isArray(stand) ? stand : [])
    times.set(one.words.split(' ')[0], (times.get(one.words.split(' ')[0]) ?? 0) + 1)
  const lost = kept.filter((n) => !times.has(String(n))).length
  const twice = [...times.values()].filter((count) => count > 1).length
  for (const [told, count] of Object.entries(said)) console.log(`${count} x ${told}`)
  console.log(
    `disk full: ${kept.length} acknowledged before, ${lost} lost, ${twice} kept twice; ${refused.length} refused, ` +
      `${again} of them kept once there was room; reading meanwhile: ${reading.status}`,
  )
  const unlike = Object.keys(said).filter((told) => !/^(503|0) /.test(told)).length
  return lost + twice + unlike + (refused.length - again)
}

let faults = 1
try {
  faults = await tried()
} finally {
  await pause(1000)
  execFileSync('umount', ['-l', data])
  rmSync(data, { recursive: true, force: true })
}
process.exit(faults > 0 ? 1 : 0)
