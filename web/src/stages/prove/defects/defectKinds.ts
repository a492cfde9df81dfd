import type { Schemas } from '@/shared/api/client'

/** Kinds of defects, the most usual first. */
export const DEFECTS: readonly Schemas['DefectKind'][] = [
  ...(['void', 'thin', 'missed', 'parting', 'shrinkage', 'crack'] as const),
  ...(['offRatio', 'scorch', 'wet'] as const),
]

/** Ways to repair. What is off ratio can only come out. */
export const REPAIRS: readonly Schemas['RepairWay'][] = ['cutAndSprayed', 'added', 'board', 'replaced']

export const waysOf = (kind: Schemas['DefectKind'] | null | undefined) =>
  kind === 'offRatio' ? REPAIRS.filter((way) => way === 'replaced') : REPAIRS
