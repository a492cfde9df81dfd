import { describe, expect, it } from 'vitest'
import { historyOf } from './history'

const entry = (id: string, at: string, also: Partial<Parameters<typeof historyOf>[0][number]> = {}) => ({
  id,
  kind: 'depth' as const,
  at,
  saidAt: at,
  ...also,
})

describe('the history of a log', () => {
  it('is the newest first, however an instant is written', () => {
    const log = [entry('a', '2026-11-23T12:41:00.5Z'), entry('b', '2026-11-23T12:41:00.25+00:00')]
    expect(historyOf(log).map(({ root }) => root)).toEqual(['a', 'b'])
    expect(historyOf(log.toReversed()).map(({ root }) => root)).toEqual(['a', 'b'])
  })

  it('tells a correction with what it was, and a correction of a correction on the same line', () => {
    const log = [
      entry('a', '2026-11-23T12:00:00Z', { depthMm: 40 }),
      entry('b', '2026-11-23T12:01:00Z', { depthMm: 41, replaces: 'a' }),
      entry('c', '2026-11-23T12:02:00Z', { depthMm: 42, replaces: 'b' }),
    ]
    const [line, ...others] = historyOf(log)
    expect(others).toEqual([])
    expect([line?.root, line?.entry.depthMm, line?.was?.depthMm, line?.isGone]).toEqual(['a', 42, 41, false])
  })

  it('keeps what was deleted, and names a ring where it was entered', () => {
    const gone = [
      entry('a', '2026-11-23T12:00:00Z', { depthMm: 40 }),
      entry('b', '2026-11-23T12:01:00Z', { kind: 'withdrawn', replaces: 'a' }),
    ]
    expect(historyOf(gone).map(({ entry, isGone }) => [entry.depthMm, isGone])).toEqual([[40, true]])
    const ring = [
      entry('a', '2026-11-23T12:00:00Z', { replaces: 'b' }),
      entry('b', '2026-11-23T12:01:00Z', { replaces: 'a' }),
    ]
    expect(historyOf(ring)).toHaveLength(2)
  })
})
