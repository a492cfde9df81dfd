import { v7 } from 'uuid'
import { ApiProblem, isNoAnswer, upload } from './client'

// What got no answer, by what it was: pressed again it is the same thing, and the server makes it once.
const unanswered = new Map<string, string>()

/**
 * Makes something under an id of its own. Where no answer came it may have been made: made again in the same words it goes
 * under the same id.
 * @param what What is made, and where.
 * @param from All that it is made from.
 */
export async function once<T>(what: string, from: unknown, send: (id: string) => Promise<T>): Promise<T> {
  const name = JSON.stringify([what, from])
  const id = unanswered.get(name) ?? v7()
  unanswered.set(name, id)
  try {
    const made = await send(id)
    unanswered.delete(name)
    return made
  } catch (cause) {
    const isOpen = isNoAnswer(cause) || (cause instanceof ApiProblem && cause.status >= 500)
    if (!isOpen) unanswered.delete(name)
    throw cause
  }
}

/** Sends a file that makes something. */
export const uploadOnce = <T>(path: string, file: File, mostMegabytes: number, type?: string): Promise<T> =>
  once(path, [file.name, file.size, file.lastModified], (command) =>
    upload<T>(`${path}${path.includes('?') ? '&' : '?'}command=${command}`, file, mostMegabytes, type),
  )
