import { describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/client'
import { keepEdit, versionOf } from './records'

/** A record on a server that refuses a stale version, and can be made to wait. */
function record(id: string, version = 1) {
  const waiting: (() => void)[] = []
  const kept: string[] = []
  let slow = false
  const server = {
    kept,
    get version() {
      return version
    },
    changeByAnother: () => (version += 10),
    hold: () => (slow = true),
    let: () => {
      slow = false
      waiting.splice(0).forEach((go) => go())
    },
    edit(text: string, seen: number, onTop = false) {
      const send = async (sent: number | null) => {
        if (slow) await new Promise<void>((go) => waiting.push(go))
        if (sent !== version) throw new ApiProblem(409, '', [], { version })
        kept.push(text)
        return { version: ++version }
      }
      return keepEdit({ kind: 'test', id, version: seen }, { send, versionIn: versionOf, onTop })
    },
  }
  return server
}

describe('edits of a record', () => {
  it('typed quickly against one version are kept in order, each with what the one before made of it', async () => {
    const wall = record('a')
    wall.hold()
    const edits = ['1', '2', '3', '4'].map((text) => wall.edit(text, 1))
    wall.let()
    await vi.waitFor(async () => {
      wall.let()
      await Promise.all(edits)
    })
    expect(wall.kept).toEqual(['1', '2', '3', '4'])
  })

  it('do not wait for another record', async () => {
    const [slow, quick] = [record('b'), record('c')]
    slow.hold()
    const late = slow.edit('late', 1)
    await quick.edit('now', 1)
    expect(quick.kept).toEqual(['now'])
    slow.let()
    await late
  })

  it('go on after one of them was refused', async () => {
    const wall = record('d')
    const refused = keepEdit(
      { kind: 'test', id: 'd', version: 1 },
      { send: () => Promise.reject(new ApiProblem(400, 'no', [], null)), versionIn: versionOf },
    )
    const next = wall.edit('next', 1)
    await expect(refused).rejects.toThrow('no')
    await next
    expect(wall.kept).toEqual(['next'])
  })

  it('that collide are told, and laid on top only where that is wanted', async () => {
    const wall = record('e')
    wall.changeByAnother()
    await expect(wall.edit('mine', 1)).rejects.toMatchObject({ status: 409 })
    await wall.edit('mine on top', 1, true)
    expect(wall.kept).toEqual(['mine on top'])
  })

  it('follow the record through edits of this page, not through those of others', async () => {
    const wall = record('f')
    await wall.edit('one', 1)
    wall.changeByAnother()
    await expect(wall.edit('two', 1)).rejects.toMatchObject({ status: 409 })
  })

  it('that another person beats again and again are given up', async () => {
    const send = vi.fn(() => Promise.reject(new ApiProblem(409, '', [], { version: 9 })))
    await expect(
      keepEdit({ kind: 'test', id: 'g', version: 1 }, { send, versionIn: versionOf, onTop: true }),
    ).rejects.toMatchObject({ status: 409 })
    expect(send).toHaveBeenCalledTimes(3)
  })
})
