// One firm asks for everything of another: every id of it in every path, query and body, by every role. Nothing may come back, and
// nothing may be changed. A new endpoint is tried by itself.
// node tests/hard/isolation.mjs ADDRESS [IDS OF A KIND]
import { randomUUID } from 'node:crypto'
import { signedIn } from './asking.mjs'
import { idsSeenBy, kindOf, operationsOf } from './described.mjs'
import { chance } from './random.mjs'
import { bodyOf } from './values.mjs'

const [address, sample = '2'] = process.argv.slice(2)
const ROLES = ['owner', 'estimator', 'lead', 'helper', 'viewer']
const die = chance(1)
const theirs = await signedIn(address, 'owner@ninthacre.example')
const before = await everything(theirs)
const ids = await idsSeenBy(theirs)
const some = Object.values(ids).flatMap((all) => all.slice(0, Number(sample)))
const description = (await theirs.ask('GET', '/openapi/v1.json')).body
const operations = operationsOf(description).filter(
  ({ path }) => path !== '/api/session' && !path.startsWith('/api/compute'),
)

async function everything(person) {
  const { body } = await person.ask('GET', '/api/jobs')
  const files = []
  for (const { job } of body) files.push(JSON.stringify((await person.ask('GET', `/api/jobs/${job.id}/file`)).body))
  for (const path of [
    '/api/firm',
    '/api/places',
    '/api/means',
    '/api/stock',
    '/api/past-jobs',
    '/api/target-sets',
    '/api/people',
    '/api/tokens',
  ])
    files.push(
      JSON.stringify((await person.ask('GET', path)).body).replace(/"(seenAt|lastUsedAt|sessions)":[^,}]*/g, ''),
    )
  return files
}

// Any id within what was answered that is theirs.
const holds = (answer) => {
  const text = JSON.stringify(answer.body)
  return some.find((id) => text.includes(id))
}

let [tried, leaks] = [0, 0]
function look(role, method, path, answer, sent) {
  tried += 1
  const isTheirs = answer.status < 300 && path.includes(sent) && answer.status !== 204
  const told = holds(answer)
  // A refusal may name the id that was sent; an answer may not hold any.
  if (answer.status >= 500 || isTheirs || (told && answer.status < 300)) {
    leaks += 1
    console.log(`LEAK ${role} ${method} ${path} ${answer.status} ${told ?? ''}`)
  }
}

for (const role of ROLES) {
  const stranger = await signedIn(address, `${role}@ninthacre2.example`)
  const own = await idsSeenBy(stranger)
  for (const operation of operations) {
    const method = operation.method.toUpperCase()
    const schema = operation.requestBody?.content?.['application/json']?.schema
    for (const id of some) {
      const asked = { body: undefined }
      // The id of a body names what is made: that one is new.
      const body = schema && bodyOf(die, schema, description, [id])
      if (schema) asked.body = JSON.stringify(body?.id ? { ...body, id: randomUUID() } : body)
      if (operation.path.includes('{id}')) {
        const path = operation.path.replace('{id}', id).replace('{item}', 'masked')
        look(role, method, path, await stranger.ask(method, path, asked.body), id)
      }
      // Their id within the body, on a record of one's own.
      const mine = own[kindOf(operation.path)]?.[0]
      if (schema && method !== 'DELETE' && role === 'owner' && mine) {
        const path = operation.path.replace('{id}', mine).replace('{item}', 'masked')
        look(role, method, path, await stranger.ask(method, path, asked.body), id)
      }
    }
  }
}

const after = await everything(theirs)
const changed = before.filter((one, i) => one !== after[i]).length
if (changed > 0) console.log(`CHANGED ${changed} of ${before.length} records of the other firm`)
console.log(
  `${leaks} leaks and ${changed} changes in ${tried} requests, ${some.length} ids, ${operations.length} operations, ${ROLES.length} roles`,
)
process.exitCode = leaks + changed > 0 ? 1 : 0
