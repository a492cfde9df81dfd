import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ApiProblem, ask, onSignInNeeded, type Schemas } from '../api/client'
import { clockIs } from './clock'
import { clearCore } from '../core/browserCore'
import { sendWaiting } from '../keeping/editor'
import { entriesBelongTo } from '../keeping/entries'
import { useReader } from './reader'

const LOOKED_AGAIN_MS = 3_000

export type Right = Schemas['Right']

/** Who is signed in, and the waiting room for requests whose sign-in ran out. */
export const useSession = defineStore('session', () => {
  const person = ref<Schemas['SessionAnswer'] | null>(null)
  const expired = ref(false)
  let waiting: { go: () => void; giveUp: (cause: unknown) => void }[] = []

  onSignInNeeded(
    () =>
      new Promise((go, giveUp) => {
        // What was still on its way when somebody signed out asks nobody to sign in again.
        if (!person.value) return giveUp(signInNeeded())
        waiting.push({ go, giveUp })
        expired.value = true
      }),
  )

  function welcome(answer: Schemas['SessionAnswer']) {
    person.value = answer
    clockIs(answer.clock)
    entriesBelongTo(answer.id)
    Object.assign(useReader(), { units: answer.units, currency: answer.currency })
    sendWaiting()
  }

  async function find() {
    try {
      const answer = await ask(api.GET('/api/session'))
      welcome(answer)
    } catch (cause) {
      if (!(cause instanceof ApiProblem) || cause.status !== 401) throw cause
      person.value = null
    }
    return person.value
  }

  /** Looks for who is signed in until somebody answers; null where nobody is. */
  async function findInTheEnd(): Promise<Schemas['SessionAnswer'] | null> {
    for (;;) {
      await new Promise((go) => setTimeout(go, LOOKED_AGAIN_MS))
      try {
        return await find()
      } catch {
        // Asked again until there is an answer.
      }
    }
  }

  async function signIn(signInName: string, password: string, code?: string) {
    const answer = await ask(api.POST('/api/session', { body: { signInName, password, code } }))
    const before = person.value
    if (before && before.id !== answer.id) return someoneElse()
    welcome(answer)
    expired.value = false
    waiting.forEach((request) => request.go())
    waiting = []
  }

  // The screen behind the question is another person's: it goes, with the requests that waited for that person.
  // What was typed there waits among that person's drafts.
  function someoneElse() {
    giveUp()
    location.assign('/')
  }

  const signInNeeded = () => new ApiProblem(401, '', [], null)

  function giveUp() {
    waiting.forEach((request) => request.giveUp(signInNeeded()))
    waiting = []
  }

  async function signOut() {
    await ask(api.DELETE('/api/session'))
    giveUp()
    expired.value = false
    person.value = null
    entriesBelongTo('')
    clearCore()
  }

  /** Whether this person may do something; the server holds to the same table. */
  const may = (right: Right) => person.value?.rights.includes(right) ?? false

  return { person, expired, may, find, findInTheEnd, signIn, signOut }
})
