// Two servers on one database: one sign-in for both; who writes the same at once on either is told of the other; what one has written
// the other shows; what one has ended the other ends.
// node tests/hard/two.mjs ADDRESS PROCESS [ROUNDS]
import { randomUUID } from 'node:crypto'
import { signedIn } from './asking.mjs'
import { startBeside } from './running.mjs'

const [address, pid, rounds = '150'] = process.argv.slice(2)
const beside = await startBeside(pid, Number(new URL(address).port) + 1)
const owner = await signedIn(address, 'owner@ninthacre2.example')
const both = [owner.askAt(address), owner.askAt(beside.address)]
const faults = []
const fault = (words) => faults.push(words) < 20 && console.log(`FAULT ${words}`)

const typed = (fields, version = null, id = undefined) => JSON.stringify({ id, version, units: 'us', fields })
async function made(path, fields) {
  const { status, body } = await both[0]('POST', path, typed(fields))
  if (status >= 300) throw new Error(`${path}: ${status} ${JSON.stringify(body)}`)
  return body.id
}
const job = await made('/api/jobs', { name: 'Two servers', climateZone: '6A' })
const wall = await made(`/api/jobs/${job}/surfaces`, { name: 'Wall', kind: 'studWall', size: "20' x 9'" })
await both[0]('PATCH', `/api/surfaces/${wall}`, typed({ sheet: 'marl-cc-20', thickness: '2' }))

// Asked of both at the same moment.
async function seenByBoth(path) {
  const answers = await Promise.all(both.map((ask) => ask('GET', path)))
  if (answers.some(({ status }) => status !== 200)) fault(`${path}: ${answers.map(({ status }) => status)}`)
  return answers.map(({ body }) => body)
}
async function sameOnBoth(path, what) {
  const [here, there] = (await seenByBoth(path)).map((body) => JSON.stringify(what(body)))
  if (here !== there) fault(`${path} differs: ${here.slice(0, 200)} | ${there.slice(0, 200)}`)
}

let settled = 0
async function collide(round) {
  const { version } = (await both[0]('GET', `/api/jobs/${job}/surfaces`)).body[0]
  const answers = await Promise.all(
    both.map((ask, i) =>
      ask('PATCH', `/api/surfaces/${wall}`, typed({ thickness: `${1 + ((round + i) % 5) / 2}` }, version)),
    ),
  )
  const won = answers.filter(({ status }) => status === 200)
  const told = answers.filter(({ status, body }) => status === 409 && body.theirs)
  if (won.length === 1 && told.length === 1) settled += 1
  else fault(`round ${round}: ${answers.map(({ status }) => status)}`)
  await sameOnBoth(`/api/jobs/${job}/surfaces`, (body) => body)
  if (round % 5 === 0) await sameOnBoth(`/api/jobs/${job}/board`, (board) => [board.rows, board.feet])
}
for (let round = 0; round < Number(rounds); round += 1) await collide(round)

// Each command to both servers at once, as when the first answer was slow.
for (let n = 0; n < Number(rounds); n += 1) {
  const note = typed({ kind: 'leak', words: `seen ${n}` }, null, randomUUID())
  const answers = await Promise.all(both.map((ask) => ask('POST', `/api/surfaces/${wall}/notes`, note)))
  if (answers.some(({ status }) => status !== 200)) fault(`note ${n}: ${answers.map(({ status }) => status)}`)
}
const notes = (await both[1]('GET', `/api/surfaces/${wall}/notes`)).body.length
if (notes !== Number(rounds)) fault(`${notes} notes of ${rounds}`)

// As the page does it: a refusal is looked at, and what the other left alone goes on top.
async function keep(ask, field, value) {
  for (let times = 0; times < 20; times += 1) {
    const { version } = (await ask('GET', '/api/firm')).body
    const { status } = await ask('PATCH', '/api/firm', typed({ [field]: value }, version))
    if (status === 200) return
    if (status !== 409) break
  }
  fault(`${field} was not kept`)
}
let lost = 0
for (let n = 1; n <= 20; n += 1) {
  await Promise.all([keep(both[0], 'crewHour', `${40 + n}.11`), keep(both[1], 'rigDay', `${100 + n}.22`)])
  for (const firm of await seenByBoth('/api/firm')) {
    const text = JSON.stringify(firm)
    if (!text.includes(`${40 + n}.11`) || !text.includes(`${100 + n}.22`)) lost += 1
  }
}
if (lost) fault(`${lost} rates lost`)

// Signed out on one, over on the other.
let late = 0
for (let n = 0; n < 20; n += 1) {
  const person = await signedIn(address, 'lead@ninthacre2.example')
  const [here, there] = [person.askAt(address), person.askAt(beside.address)]
  if ((await there('GET', '/api/session')).status !== 200) fault('a sign-in of one is none on the other')
  await here('DELETE', '/api/session')
  if ((await there('GET', '/api/session')).status !== 401) late += 1
}
if (late) fault(`${late} sign-outs came late to the other server`)

beside.stop()
console.log(
  `two servers: of ${rounds} edits of one record at once ${settled} had one winner and one who was told; ` +
    `${notes} of ${rounds} notes sent to both stand; 40 rates, ${lost} lost; 20 sign-outs, ${late} late; ${faults.length} faults`,
)
process.exitCode = faults.length > 0 ? 1 : 0
