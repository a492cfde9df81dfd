import { useWriting } from '@/i18n/writing'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '../api/client'
import { useReader } from './reader'
import { stages, type Say, type Stage, type StageKey } from './stages'

export type BoardRow = Schemas['BoardRow']

const WORST = ['hold', 'care', 'clear'] as const

export type BoardCells = ReturnType<typeof useBoardCells>

/** What the cells of a surface say, in the reader's words and units. */
export function useBoardCells() {
  const { t } = useI18n()
  const { listed } = useWriting()
  const reader = useReader()
  const words: Say = { t: (key, named) => t(key, named ?? {}), print: (figure) => reader.print(figure) }
  const built = stages().flatMap(({ built }) => built ?? [])

  const cellOf = (row: BoardRow, stage: StageKey) => row.cells.find((cell) => cell.stage === stage)
  const isEmpty = (row: BoardRow, stage: StageKey) => (cellOf(row, stage)?.word ?? 'none') === 'none'
  const verdictOf = (row: BoardRow, stage: StageKey) => cellOf(row, stage)?.verdict ?? null
  const missingOf = (row: BoardRow, stage: StageKey) => cellOf(row, stage)?.missing ?? []

  function say(row: BoardRow, stage: Stage) {
    const cell = cellOf(row, stage.key)
    if (!cell || isEmpty(row, stage.key)) return stage.none?.(words) ?? t('board.none')
    const figures = Object.fromEntries(Object.entries(cell.figures).map(([k, f]) => [k, reader.print(f)]))
    return stage.cell(cell, figures, words)
  }

  // What the survey still wants, and the stages each thing blocks.
  const missingText = (row: BoardRow, stage: StageKey) =>
    t('board.blocks', {
      list: listed(
        missingOf(row, stage).map((one) =>
          t('board.blocksOne', { what: t(`wanted.${one.rule}.${one.case}`), stages: t(`stage.${one.blocks}`) }),
        ),
        'apart',
      ),
    })

  /** The stage a surface waits at: the first that has nothing yet or lacks something, else the first that is on hold. */
  const nextOf = (row: BoardRow) =>
    built.find(({ key }) => isEmpty(row, key) || missingOf(row, key).length > 0) ??
    built.find(({ key }) => verdictOf(row, key) === 'hold')

  /** The last stage that says something of a surface. */
  const standOf = (row: BoardRow) => built.findLast(({ key }) => !isEmpty(row, key))

  /** The worst mark of a surface at any stage. */
  const worstOf = (row: BoardRow) => WORST.find((one) => row.cells.some((cell) => cell.verdict === one)) ?? null

  return { built, words, say, cellOf, isEmpty, verdictOf, missingOf, missingText, nextOf, standOf, worstOf }
}
