import createClient, { type Middleware } from 'openapi-fetch'
import { heardAt } from '../state/clock'
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
  /** Figures its sentence needs, by name. */
  figures?: Record<string, Figure> | null
  /** What could be typed instead. */
  other?: string | null
}

/** A field that was taken and may have been meant otherwise; or one that was refused and would fit with another unit. */
export interface FieldDoubt {
  field: string
  code: string
  readAs?: Figure | null
  other?: string | null
}

/** Why a file cannot be read; the screen words it. */
export interface FileFault {
  fault: string
  line: number
  detail: string
}

export interface LineFault {
  line: number
  path: string
  sentence: string
}

/** Why nothing is answered: nobody speaks, the database is away, or it has no room left. */
export type Outage = 'silent' | 'away' | 'full'

interface ProblemParts {
  /** Why a file cannot be read, where one was sent. */
  file?: FileFault | null
  /** What is wrong with a data file, line by line. */
  lines?: LineFault[]
  outage?: Outage
  /** Whether whoever signs in has to add the code of their second step. */
  needsCode?: boolean
  /** Whether what was asked for is deleted, and can be restored. */
  deleted?: boolean
}

/** A refusal of the server, with what a screen needs to answer it. */
export class ApiProblem extends Error {
  readonly file: FileFault | null
  readonly lines: LineFault[]
  readonly outage: Outage
  readonly needsCode: boolean
  readonly deleted: boolean

  constructor(
    readonly status: number,
    readonly detail: string,
    readonly faults: FieldFault[],
    readonly theirs: unknown,
    parts: ProblemParts = {},
  ) {
    super(detail)
    this.file = parts.file ?? null
    this.lines = parts.lines ?? []
    this.outage = parts.outage ?? 'silent'
    this.needsCode = parts.needsCode ?? false
    this.deleted = parts.deleted ?? false
  }
}

// Nothing came, or word that whoever would answer cannot just now: the same is asked again later.
const NO_ANSWER: readonly number[] = [0, 408, 429, 502, 503, 504]

/** Whether nothing is wrong with what was asked: no answer came, and the next try may bring one. */
export const isNoAnswer = (cause: unknown): cause is ApiProblem =>
  cause instanceof ApiProblem && NO_ANSWER.includes(cause.status)

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
    heardAt(response.headers.get('Umbracell-Now'))
    const copy = copies.get(request)
    if (response.status !== 401 || schemaPath === '/api/session' || !copy) return response
    await signInAgain()
    return patiently(copy)
  },
}

// What is entered must not hang on an answer that never comes; what is computed may take its time.
const PATIENCE_MS = 60_000
const patiently = (request: Request) =>
  request.method === 'GET' ? fetch(request) : fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) })

const client = createClient<paths>({ baseUrl: globalThis.location?.origin ?? '', fetch: patiently })
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
  if (outcome.response.ok) return withDoubts(outcome.data as T, outcome.response)
  throw problemOf(outcome.response.status, outcome.error)
}

// Doubts come in a header of whatever is answered; they are kept beside the answer.
const doubts = new WeakMap<object, FieldDoubt[]>()

function withDoubts<T>(data: T, response: Response): T {
  const sent = response.headers?.get('Umbracell-Doubts')
  if (sent && typeof data === 'object' && data !== null) {
    const text = new TextDecoder().decode(Uint8Array.from(atob(sent), (letter) => letter.charCodeAt(0)))
    doubts.set(data, JSON.parse(text) as FieldDoubt[])
  }
  return data
}

/** What the server was in doubt about when it gave an answer. */
export const doubtsOf = (answer: unknown): readonly FieldDoubt[] =>
  (typeof answer === 'object' && answer !== null && doubts.get(answer)) || []

function problemOf(status: number, error: unknown) {
  const body = (error ?? {}) as Partial<ApiProblem>
  return new ApiProblem(status, body.detail ?? '', body.faults ?? [], body.theirs ?? null, body)
}

/** Sends a file as the body of a request. A file that is larger than is taken is not sent at all. */
export async function upload<T>(
  path: string,
  file: Blob,
  mostMegabytes: number,
  type = 'application/octet-stream',
): Promise<T> {
  if (file.size > mostMegabytes * 1024 * 1024) {
    const size = (file.size / 1024 / 1024).toFixed(0)
    const detail = `${(file as File).name ?? ''}|${size}|${mostMegabytes}`
    throw new ApiProblem(413, '', [], null, { file: { fault: 'tooLarge', line: 0, detail } })
  }
  const response = await answered(() => fetch(path, { method: 'POST', body: file, headers: { 'Content-Type': type } }))
  return (await response.json().catch(() => ({}))) as T
}

/** A file of the server with the name it gives it. */
export async function download(path: string): Promise<{ file: Blob; name: string }> {
  const response = await answered(() => fetch(path))
  return { file: await response.blob(), name: nameIn(response.headers.get('Content-Disposition') ?? '') }
}

// The name in a header: the one in any alphabet before the plain one.
function nameIn(header: string) {
  const wide = /filename\*=UTF-8''([^;]+)/i.exec(header)?.[1]
  return wide ? decodeURIComponent(wide) : (/filename="?([^";]+)"?/i.exec(header)?.[1] ?? 'file')
}

// What is sent by hand: a sign-in that ran out is renewed once, and a refusal is an ApiProblem.
async function answered(send: () => Promise<Response>): Promise<Response> {
  let response: Response
  try {
    response = await send()
    if (response.status === 401) {
      await signInAgain()
      response = await send()
    }
  } catch (cause) {
    throw cause instanceof ApiProblem ? cause : new ApiProblem(0, '', [], null)
  }
  if (!response.ok) throw problemOf(response.status, await response.json().catch(() => ({})))
  return response
}
