import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, ApiProblem, ask, onSignInNeeded, type Schemas } from '../api/client'
import { clearCore } from '../core/browserCore'
import { useReader } from './reader'

/** Who is signed in, and the waiting room for requests whose sign-in ran out. */
export const useSession = defineStore('session', () => {
  const person = ref<Schemas['SessionAnswer'] | null>(null)
  const expired = ref(false)
  let waiting: { go: () => void; giveUp: (cause: unknown) => void }[] = []

  onSignInNeeded(
    () =>
      new Promise((go, giveUp) => {
        waiting.push({ go, giveUp })
        expired.value = true
      }),
  )

  function welcome(answer: Schemas['SessionAnswer']) {
    person.value = answer
    useReader().units = answer.units
  }

  async function find() {
    try {
      welcome(await ask(api.GET('/api/session')))
    } catch (cause) {
      if (!(cause instanceof ApiProblem) || cause.status !== 401) throw cause
      person.value = null
    }
    return person.value
  }

  async function signIn(signInName: string, password: string) {
    welcome(await ask(api.POST('/api/session', { body: { signInName, password } })))
    expired.value = false
    waiting.forEach((request) => request.go())
    waiting = []
  }

  async function signOut() {
    await ask(api.DELETE('/api/session'))
    waiting.forEach((request) => request.giveUp(new ApiProblem(401, '', [], null)))
    waiting = []
    expired.value = false
    person.value = null
    clearCore()
  }

  return { person, expired, find, signIn, signOut }
})
