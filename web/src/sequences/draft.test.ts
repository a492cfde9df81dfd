import { describe, expect, it } from 'vitest'
import { moved, withNew, without, type TypedStep } from './draft'

const steps = withNew(withNew(withNew([], -1), 0), 1)
const ids = (of: readonly TypedStep[]) => of.map((step) => step.id)

describe('the steps of a sequence while they are edited', () => {
  it('a new one lies behind the one it was added to, under an id nobody has', () => {
    expect(ids(steps)).toEqual(['own1', 'own2', 'own3'])
    expect(ids(withNew(without(steps, 0), 0))).toEqual(['own2', 'own1', 'own3'])
  })

  it('moved up and down again they are as they were, and nothing moves over an end', () => {
    expect(ids(moved(steps, 2, -1))).toEqual(['own1', 'own3', 'own2'])
    for (const at of [0, 1]) expect(moved(moved(steps, at, 1), at + 1, -1)).toEqual(steps)
    expect(moved(steps, 0, -1)).toEqual(steps)
    expect(moved(steps, 2, 1)).toEqual(steps)
  })

  it('nothing waits for one that was deleted', () => {
    const waiting = steps.map((step, at) => ({ ...step, after: at ? ['own1'] : [] }))
    expect(without(waiting, 0).flatMap((step) => step.after)).toEqual([])
    expect(without(waiting, 2).map((step) => step.after)).toEqual([[], ['own1']])
  })
})
