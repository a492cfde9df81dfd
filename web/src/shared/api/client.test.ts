import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, ApiProblem, ask, onSignInNeeded } from './client'

const answer = (status: number, body: unknown, type = 'application/json') =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': type } })

function serve(...answers: (Response | Error)[]) {
  const asked: Request[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    asked.push(request)
    const next = answers.shift()
    if (next instanceof Error || !next) throw next ?? new Error('asked once too often')
    return next
  })
  return asked
}

afterEach(() => vi.unstubAllGlobals())

const change = () =>
  ask(
    api.PATCH('/api/surfaces/{id}', {
      params: { path: { id: 'a' } },
      body: { version: 1, units: 'us', fields: { size: "24' x 9'" } },
    }),
  )

describe('asking the server', () => {
  it('gives the data of an answer', async () => {
    serve(answer(200, { id: 'a' }))
    expect(await change()).toEqual({ id: 'a' })
  })

  it('carries the faults of a refusal', async () => {
    const fault = { field: 'size', code: 'notANumber', typed: 'x' }
    serve(answer(400, { detail: 'no', faults: [fault] }, 'application/problem+json'))
    const problem = await change().catch((cause) => cause)
    expect(problem).toBeInstanceOf(ApiProblem)
    expect(problem.status).toBe(400)
    expect(problem.faults).toEqual([fault])
  })

  it('carries the other version of a stale edit', async () => {
    serve(answer(409, { theirs: { name: 'theirs' } }, 'application/problem+json'))
    const problem = await change().catch((cause) => cause)
    expect(problem.theirs).toEqual({ name: 'theirs' })
  })

  it('tells a lost connection from a refusal', async () => {
    serve(new TypeError('failed to fetch'))
    const problem = await change().catch((cause) => cause)
    expect(problem.status).toBe(0)
  })

  it('waits for a new sign-in and then sends what was typed once more', async () => {
    let signedIn = 0
    onSignInNeeded(async () => void signedIn++)
    const asked = serve(answer(401, {}), answer(200, { id: 'a' }))
    expect(await change()).toEqual({ id: 'a' })
    expect(signedIn).toBe(1)
    expect(asked).toHaveLength(2)
    expect(await asked[1]!.json()).toEqual({ version: 1, units: 'us', fields: { size: "24' x 9'" } })
  })

  it('does not ask to sign in again when signing in itself is refused', async () => {
    onSignInNeeded(() => Promise.reject(new Error('asked')))
    serve(answer(401, { detail: 'wrong' }, 'application/problem+json'))
    const problem = await ask(api.POST('/api/session', { body: { signInName: 'a', password: 'b' } })).catch((c) => c)
    expect(problem.status).toBe(401)
    expect(problem.detail).toBe('wrong')
  })
})
