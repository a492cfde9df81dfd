import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Figure = Schemas['FigureAnswer']
export type Finding = Schemas['FindingAnswer']
export type Working = Schemas['WorkingAnswer']
export type WorkedFigure = Schemas['WorkedFigure']
export type Verdict = Schemas['Verdict']

/** What is wrong with one typed field; the screen words it. */
export interface FieldFault {
  field: string
  code: string
  typed: string
  least?: Figure | null
  greatest?: Figure | null
  words?: string[] | null
}

/** A refusal of the server, with what a screen needs to answer it. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly faults: FieldFault[],
    readonly theirs: unknown,
  ) {
    super(detail)
  }
}

let signInAgain: () => Promise<void> = () => Promise.reject(new ApiProblem(401, '', [], null))

/** Tells the client how to have the person sign in again. */
export function onSignInNeeded(ask: () => Promise<void>) {
  signInAgain = ask
}

// A sign-in that ran out must not cost what was typed: the request waits, and goes out again once the person is back.
const copies = new WeakMap<Request, Request>()
const retryAfterSignIn: Middleware = {
  onRequest({ request }) {
    copies.set(request, request.clone())
    return request
  },
  async onResponse({ request, response, schemaPath }) {
    const copy = copies.get(request)
    if (response.status !== 401 || schemaPath === '/api/session' || !copy) return response
    await signInAgain()
    return fetch(copy)
  },
}

const client = createClient<paths>({ baseUrl: globalThis.location?.origin ?? '', fetch: (request) => fetch(request) })
client.use(retryAfterSignIn)
export const api = client

interface Outcome<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer, or an ApiProblem. */
export async function ask<T>(request: Promise<Outcome<T>>): Promise<T> {
  let outcome: Outcome<T>
  try {
    outcome = await request
  } catch (cause) {
    if (cause instanceof ApiProblem) throw cause
    throw new ApiProblem(0, '', [], null)
  }
  if (outcome.response.ok) return outcome.data as T
  const body = (outcome.error ?? {}) as { detail?: string; faults?: FieldFault[]; theirs?: unknown }
  throw new ApiProblem(outcome.response.status, body.detail ?? '', body.faults ?? [], body.theirs ?? null)
}
