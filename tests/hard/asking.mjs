// Asking a running product as a person would who has signed in.

export const pause = (ms) => new Promise((go) => setTimeout(go, ms))

export const PASSWORD = 'umbra-demo'

/** A person who has signed in: what they ask goes with their cookie. */
export async function signedIn(address, signInName = 'owner@ninthacre.example') {
  let cookie = ''
  const askAt =
    (server) =>
    async (method, path, body, headers = {}) => {
      const answer = await fetch(server + path, {
        method,
        body,
        headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}), ...headers },
      })
      const text = await answer.text()
      const given = answer.headers.getSetCookie().map((one) => one.split(';')[0])
      cookie ||= given.find((one) => one.startsWith('umbracell=')) ?? ''
      return {
        status: answer.status,
        type: answer.headers.get('content-type') ?? '',
        body: parsed(text),
        headers: answer.headers,
      }
    }
  const ask = askAt(address)
  const signIn = () => ask('POST', '/api/session', JSON.stringify({ signInName, password: PASSWORD }))
  let { status, headers: told } = await signIn()
  // Whoever tried before under this name may have to wait.
  for (let tries = 0; status === 429 && tries < 5; tries += 1) {
    await pause(1000 * Number(told.get('retry-after') ?? 1))
    ;({ status, headers: told } = await signIn())
  }
  if (status !== 200) throw new Error(`${signInName} could not sign in: ${status}`)
  return {
    ask,
    /** The same sign-in, asking another server. */
    askAt,
    send: (path, body, headers) => ask('POST', path, JSON.stringify(body), headers),
    cookie: () => cookie,
  }
}

function parsed(text) {
  try {
    return JSON.parse(text)
  } catch {
    return text
  }
}

/** What nine of ten waits, or however many are asked for, stay under. */
export function share(waits, part) {
  const sorted = waits.toSorted((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0
}
