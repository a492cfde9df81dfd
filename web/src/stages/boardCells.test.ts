import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import '.'
import type { Schemas } from '@/shared/api/client'
import { figure, within } from '@/shared/testing/shown'
import { useBoardCells, type BoardRow } from '@/shared/state/boardCells'
import { stages, type StageKey } from '@/shared/state/stages'

beforeEach(() => setActivePinia(createPinia()))

type Cell = Schemas['BoardCell']
const cell = (stage: Cell['stage'], rest: Partial<Cell> = {}): Cell => ({
  stage,
  verdict: null,
  word: 'area',
  figures: {},
  stale: false,
  missing: null,
  ...rest,
})
const row = (...cells: Cell[]) =>
  ({ id: 'r', name: 'Wall', kind: 'studWall', sketch: [], cells }) as unknown as BoardRow
const built = () => stages().flatMap(({ key, built }) => (built ? [key as Cell['stage']] : []))
const cells = () => within(useBoardCells)

describe('what is next of a surface', () => {
  it('is the first stage that says nothing yet', async () => {
    const { nextOf, standOf } = await cells()
    for (const [i, key] of built().entries()) {
      const started = row(
        ...built()
          .slice(0, i)
          .map((one) => cell(one)),
      )
      expect(nextOf(started)?.key).toBe(key)
      expect(standOf(started)?.key).toBe(built()[i - 1])
    }
  })

  it('is a stage that lacks something before one that says nothing', async () => {
    const { nextOf } = await cells()
    const missing = [{ rule: 'size', case: 'none', blocks: 'sets' }] as unknown as Cell['missing']
    expect(nextOf(row(cell('survey', { missing })))?.key).toBe('survey')
  })

  it('is what is on hold once everything is entered, and nothing where nothing is', async () => {
    const { nextOf } = await cells()
    const all = (verdict: Cell['verdict']) => row(...built().map((key) => cell(key, { verdict })))
    expect(nextOf(all('care'))).toBeUndefined()
    const held = all('clear')
    held.cells.find((one) => one.stage === 'window')!.verdict = 'hold'
    expect(nextOf(held)?.key).toBe('window')
  })
})

describe('the worst mark of a surface', () => {
  it('is the worst of any stage, and none where nothing is judged', async () => {
    const { worstOf } = await cells()
    expect(worstOf(row(cell('survey'), cell('section', { verdict: 'clear' })))).toBe('clear')
    expect(worstOf(row(cell('section', { verdict: 'care' }), cell('window', { verdict: 'clear' })))).toBe('care')
    expect(worstOf(row(cell('section', { verdict: 'care' }), cell('window', { verdict: 'hold' })))).toBe('hold')
    expect(worstOf(row(cell('survey')))).toBeNull()
  })
})

describe('the words of a cell', () => {
  it('are its figures in the reader’s units, or what its stage says where there is nothing', async () => {
    const { say, built: pages } = await cells()
    const at = (key: StageKey) => pages.find((one) => one.key === key)!
    const area = { area: figure(1, '216 ft²', '20.1 m²') }
    expect(say(row(cell('survey', { figures: area })), at('survey'))).toBe('216 ft²')
    expect(say(row(cell('window', { word: 'none' })), at('window'))).toBe('–')
    expect(say(row(), at('choose'))).toBe('to choose')
  })
})
