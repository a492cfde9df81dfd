import { describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/client'
import { lineOfSteps } from './steps'

describe('undo', () => {
  it('takes steps back in reverse and again in order', async () => {
    const log: string[] = []
    const line = lineOfSteps()
    for (const name of ['a', 'b']) {
      line.did({ undo: async () => log.push(`-${name}`), redo: async () => log.push(`+${name}`) })
    }
    await line.undo()
    await line.undo()
    await line.redo()
    expect(log).toEqual(['-b', '-a', '+a'])
    expect(line.canUndo.value).toBe(true)
    expect(line.canRedo.value).toBe(true)
  })

  it('keeps a step that got no answer, and drops one that was refused', async () => {
    const line = lineOfSteps()
    const gone = new ApiProblem(0, '', [], null)
    const changed = new ApiProblem(409, '', [], null)
    const undo = vi.fn().mockRejectedValueOnce(gone).mockRejectedValueOnce(changed)
    line.did({ undo, redo: vi.fn() })
    await expect(line.undo()).rejects.toBe(gone)
    expect(line.canUndo.value).toBe(true)
    await expect(line.undo()).rejects.toBe(changed)
    expect(line.canUndo.value).toBe(false)
  })

  it('forgets what was undone once something new is done', async () => {
    const line = lineOfSteps()
    const step = { undo: async () => 0, redo: async () => 0 }
    line.did(step)
    await line.undo()
    line.did(step)
    expect(line.canRedo.value).toBe(false)
  })
})
