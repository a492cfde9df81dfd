// Many people at once, each with a thought between two looks: how long they wait, and whether anything fails.
// node tests/hard/load.mjs ADDRESS [PEOPLE] [SECONDS] [MOST MS]
import { pause, share, signedIn } from './asking.mjs'
import { chance } from './random.mjs'

const [address, people = '200', seconds = '150', most = '200'] = process.argv.slice(2)
const [THOUGHT_MS, WARM_UP_MS] = [3000, 90_000]
const NAMES = ['owner', 'estimator', 'lead', 'helper', 'viewer'].flatMap((role) =>
  ['ninthacre', 'ninthacre2'].map((firm) => `${role}@${firm}.example`),
)
const sessions = []
for (const name of NAMES)
  sessions.push({ person: await signedIn(address, name), mayEdit: /owner|estimator|lead/.test(name) })

const [waits, errors] = [[], {}]
const end = performance.now() + Number(seconds) * 1000
const from = performance.now() + WARM_UP_MS

async function timed(person, method, path, body) {
  const start = performance.now()
  const answer = await person
    .ask(method, path, body && JSON.stringify(body))
    .catch((cause) => ({ status: String(cause) }))
  if (start > from) waits.push(performance.now() - start)
  // Two who edit the same wall at once: one of them is asked, which is no failure.
  if (answer.status !== 409 && !(answer.status < 300)) {
    const name = `${method} ${path.replace(/[0-9a-f-]{36}/, '{id}')} ${answer.status}`
    errors[name] = (errors[name] ?? 0) + 1
  }
  return answer.body
}

async function live(i) {
  const die = chance(i)
  const { person, mayEdit } = sessions[i % sessions.length]
  await pause(die.between(0, THOUGHT_MS))
  const jobs = await timed(person, 'GET', '/api/jobs')
  while (performance.now() < end) {
    const job = die.of(jobs).job.id
    await pause(die.between(0.5, 1.5) * THOUGHT_MS)
    const surfaces = await timed(person, 'GET', `/api/jobs/${job}/surfaces`)
    await pause(die.between(0.5, 1.5) * THOUGHT_MS)
    await timed(person, 'GET', `/api/jobs/${job}/board`)
    if (!surfaces?.length) continue
    const { id, version } = die.of(surfaces)
    await pause(die.between(0.5, 1.5) * THOUGHT_MS)
    await timed(person, 'GET', `/api/surfaces/${id}/${die.of(['section', 'window', 'sets'])}`)
    if (!mayEdit || !die.is(0.3)) continue
    await pause(die.between(0.5, 1.5) * THOUGHT_MS)
    await timed(person, 'PATCH', `/api/surfaces/${id}`, { version, units: 'us', fields: { openLeak: '' } })
  }
}

await Promise.all(Array.from({ length: Number(people) }, (_, i) => live(i)))
for (const [name, times] of Object.entries(errors)) console.log(`FAILED ${times} x ${name}`)
const [p50, p95, p99] = [0.5, 0.95, 0.99].map((part) => share(waits, part))
const failed = Object.values(errors).reduce((sum, times) => sum + times, 0)
console.log(
  `${people} people with ${THOUGHT_MS / 1000} s of thought, ${waits.length} requests in ${Number(seconds) - WARM_UP_MS / 1000} s once it was warm: ` +
    `p50 ${p50.toFixed(0)} ms, p95 ${p95.toFixed(0)} ms, p99 ${p99.toFixed(0)} ms, ${failed} failed`,
)
process.exitCode = failed > 0 || p95 > Number(most) ? 1 : 0
