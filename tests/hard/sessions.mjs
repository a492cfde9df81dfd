// Sign-ins that end while they are in use: by a sign-out, elsewhere, by another role, by being shut out. Whatever is asked once the end
// was told must be refused. Then two hundred guesses at once, of a name that is known and of one that is not.
// node tests/hard/sessions.mjs ADDRESS [ROUNDS]
import { pause, share, signedIn } from './asking.mjs'

const [address, rounds = '8'] = process.argv.slice(2)
const [DEVICES, FREE_TRIES] = [6, 5]
const [VICTIM, GUESSED] = ['estimator@ninthacre2.example', 'viewer@ninthacre2.example']
const owner = await signedIn(address, 'owner@ninthacre2.example')
const put = (path, body) => owner.ask('PUT', path, JSON.stringify(body))
const { id } = (await owner.ask('GET', '/api/people')).body.people.find((one) => one.signInName === VICTIM)
const [{ job }] = (await owner.ask('GET', '/api/jobs')).body
const [wall] = (await owner.ask('GET', `/api/jobs/${job.id}/surfaces`)).body

// The first device does what ends; true of those that are over by it.
const ends = {
  'sign-out': [(first) => first.ask('DELETE', '/api/session'), (device) => device === 0],
  elsewhere: [(first) => first.ask('DELETE', '/api/session/devices'), (device) => device > 0],
  role: [() => put(`/api/people/${id}/role`, { role: 'viewer' }), () => true],
  'shut out': [() => put(`/api/people/${id}/active`, { isActive: false }), () => true],
}
const back = async () => {
  await put(`/api/people/${id}/active`, { isActive: true })
  await put(`/api/people/${id}/role`, { role: 'estimator' })
}

async function run(name, [end, isOver]) {
  const devices = []
  for (let i = 0; i < DEVICES; i += 1) devices.push(await signedIn(address, VICTIM))
  const [tried, state] = [[], { done: false, told: Infinity }]
  const using = devices.map(async (device, i) => {
    for (let n = 0; !state.done; n += 1) {
      const at = performance.now()
      const note = { units: 'us', fields: { kind: 'leak', words: `${name} ${i} ${n}` } }
      // By turns what is written and what is only read.
      const { status } =
        n % 2 ? await device.send(`/api/surfaces/${wall.id}/notes`, note) : await device.ask('GET', '/api/jobs')
      tried.push({ device: i, at, status })
    }
  })
  await pause(400)
  const { status } = await end(devices[0])
  state.told = performance.now()
  await pause(400)
  state.done = true
  await Promise.all(using)
  await back()
  const after = tried.filter(({ at }) => at > state.told)
  return {
    asked: tried.length,
    after: after.length,
    refused: status >= 300 ? 1 : 0,
    late: after.filter(({ device, status: seen }) => isOver(device) && seen !== 401).length,
    tooMuch: after.filter(({ device, status: seen }) => !isOver(device) && seen === 401).length,
    unlike: tried.filter(({ status: seen }) => seen !== 200 && seen !== 401).length,
  }
}

const sums = { asked: 0, after: 0, refused: 0, late: 0, tooMuch: 0, unlike: 0 }
for (let round = 0; round < Number(rounds); round += 1) {
  for (const [name, how] of Object.entries(ends)) {
    const found = await run(name, how)
    for (const [what, times] of Object.entries(found)) sums[what] += times
    if (found.late + found.tooMuch + found.unlike + found.refused) console.log(`FAULT ${name} ${JSON.stringify(found)}`)
  }
}

async function guess(signInName) {
  const waits = []
  const answers = await Promise.all(
    Array.from({ length: 200 }, async (_, i) => {
      const at = performance.now()
      const body = JSON.stringify({ signInName, password: `guess number ${i}` })
      const headers = { 'content-type': 'application/json' }
      const { status } = await fetch(`${address}/api/session`, { method: 'POST', headers, body })
      waits.push(performance.now() - at)
      return status
    }),
  )
  const [looked, waiting] = [401, 429].map((status) => answers.filter((one) => one === status).length)
  return { looked, waiting, p50: share(waits, 0.5) }
}
const known = await guess(GUESSED)
const unknown = await guess('nobody@ninthacre2.example')
const isHeld = ({ looked, waiting }) => looked <= FREE_TRIES && looked + waiting === 200
const held = isHeld(known) && isHeld(unknown)
console.log(
  `${rounds} x ${Object.keys(ends).length} ends of sign-ins in use on ${DEVICES} devices, ` +
    `${sums.asked} requests, ${sums.after} of them after the end was told: ` +
    `${sums.late} served that should not be, ${sums.tooMuch} refused that should not be, ${sums.unlike} of another kind; ` +
    `200 guesses at once: ${known.looked} looked at of a known name (p50 ${known.p50.toFixed(0)} ms), ` +
    `${unknown.looked} of an unknown one (p50 ${unknown.p50.toFixed(0)} ms), the others told to wait`,
)
// Ends that nothing was asked after would show nothing.
process.exitCode = sums.after === 0 || sums.late + sums.tooMuch + sums.unlike + sums.refused > 0 || !held ? 1 : 0
