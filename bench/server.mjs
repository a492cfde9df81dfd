/** Where the product runs and who asks, as every benchmark takes them from its command line. */
export const [base = 'http://127.0.0.1:5210', ...further] = process.argv.slice(2)
const [name = 'owner@ninthacre.example', password = 'umbra-demo'] = further.filter((one) => !/^\d+$/.test(one))
export const who = { signInName: name, password }
/** The number given beside them. */
export const count = (otherwise) => Number(further.find((one) => /^\d+$/.test(one)) ?? otherwise)

let cookie = ''

/** Asks the server as the one who has signed in. */
export async function ask(method, path, body) {
  const answer = await fetch(base + path, {
    method,
    headers: { 'content-type': 'application/json', cookie },
    body: body && JSON.stringify(body),
  })
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`)
  // The session's own; the other one only says that somebody has signed in on this device.
  const set = answer.headers.getSetCookie().find((one) => one.startsWith('umbracell='))
  cookie = set?.split(';')[0] ?? cookie
  return answer
}
