import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ask } from '../api/client'
import { useSession } from './session'

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

const somebody = {
  id: 'a',
  rights: ['look'],
  units: 'us',
  clock: { now: '2026-11-23T12:40:00Z', rate: 1, isOfDemo: false },
}

let jobs: (() => Response)[] = []

beforeEach(() => {
  setActivePinia(createPinia())
  jobs = []
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.url.endsWith('/api/jobs')) return jobs.shift()!()
    // What pages of other tests still ask for takes none of the answers of these.
    if (!request.url.endsWith('/api/session')) return json(404, {})
    return request.method === 'DELETE' ? new Response(null, { status: 204 }) : json(200, somebody)
  })
})

afterEach(() => vi.unstubAllGlobals())

const look = () => ask(api.GET('/api/jobs'))

describe('a sign-in that has run out', () => {
  it('is asked for once, and what waited goes on', async () => {
    const session = useSession()
    await session.signIn('a', 'b')
    jobs = [() => json(401, {}), () => json(200, [])]
    const looked = look()
    await vi.waitFor(() => expect(session.expired).toBe(true))
    await session.signIn('a', 'b')
    expect(await looked).toEqual([])
    expect(session.expired).toBe(false)
  })

  it('is not asked for once the person has signed out: what was still on its way is given up', async () => {
    const session = useSession()
    await session.signIn('a', 'b')
    let arrive!: (answer: Response) => void
    const late = new Promise<Response>((resolve) => (arrive = resolve))
    jobs = [() => late as unknown as Response]
    const looked = look().catch((cause) => cause.status)
    await session.signOut()
    arrive(json(401, {}))
    expect(await looked).toBe(401)
    expect(session.expired).toBe(false)
  })
})
