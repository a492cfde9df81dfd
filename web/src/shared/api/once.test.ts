import { expect, it, vi } from 'vitest'
import { ApiProblem } from './client'
import { once } from './once'

const refused = (status: number) => Promise.reject(new ApiProblem(status, '', [], null))

it.each([0, 500, 503])('what got no answer (%i) goes under the same id when it is made again', async (status) => {
  const send = vi.fn((id: string) => (send.mock.calls.length > 1 ? Promise.resolve(id) : refused(status)))
  await once('job', { name: `One ${status}` }, send).catch(() => undefined)
  await once('job', { name: `One ${status}` }, send)
  expect(send.mock.calls[1]![0]).toBe(send.mock.calls[0]![0])
})

it('what was made, refused or made otherwise goes under a new one', async () => {
  const ids: string[] = []
  const send = (id: string) => (ids.push(id), Promise.resolve())
  await once('job', { name: 'One' }, send)
  await once('job', { name: 'One' }, send)
  await once('job', { name: 'Two' }, (id) => (ids.push(id), refused(400))).catch(() => undefined)
  await once('job', { name: 'Two' }, send)
  await once('job', { name: 'Three' }, (id) => (ids.push(id), refused(0))).catch(() => undefined)
  await once('place', { name: 'Three' }, send)
  expect(new Set(ids).size).toBe(ids.length)
})
