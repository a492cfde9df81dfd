import type { Schemas } from '@/shared/api/client'

type Sequence = Schemas['FirmSequenceAnswer']
type Step = Schemas['StepDocument']

/** A step as it is typed: limits and waits as people write them. */
export interface TypedStep {
  id: string
  what: string
  why: string
  wrong: string
  act: Step['act']
  hardStop: boolean
  after: string[]
  gauge: Schemas['StepGauge'] | null
  least: string
  greatest: string
  wait: string
  who: NonNullable<Step['who']>
}

/** The steps of a sequence as they would be typed. */
export function typedOf({ sequence, limits }: Sequence, print: (figure?: Schemas['FigureAnswer'] | null) => string) {
  return sequence.steps.map((step): TypedStep => {
    const limit = limits.find((one) => one.step === step.id)
    return {
      id: step.id,
      what: step.what ?? '',
      why: step.why ?? '',
      wrong: step.wrong ?? '',
      act: step.act ?? null,
      hardStop: step.hardStop ?? false,
      after: step.after ?? [],
      gauge: step.reading?.gauge ?? null,
      least: print(limit?.least),
      greatest: print(limit?.greatest),
      wait: step.waitMin ? `${step.waitMin} min` : '',
      who: step.who ?? 'anyone',
    }
  })
}

const BLANK: Omit<TypedStep, 'id'> = {
  what: '',
  why: '',
  wrong: '',
  act: null,
  hardStop: false,
  after: [],
  gauge: null,
  least: '',
  greatest: '',
  wait: '',
  who: 'anyone',
}

/** The steps with a new one behind one of them. */
export function withNew(steps: readonly TypedStep[], behind: number): TypedStep[] {
  let number = 1
  while (steps.some((step) => step.id === `own${number}`)) number++
  return steps.toSpliced(behind + 1, 0, { id: `own${number}`, ...BLANK })
}

/** The steps without one of them; what came after it waits for it no longer. */
export function without(steps: readonly TypedStep[], at: number): TypedStep[] {
  const gone = steps[at]!.id
  return steps.toSpliced(at, 1).map((step) => ({ ...step, after: step.after.filter((id) => id !== gone) }))
}

/** The steps with one of them moved up or down. */
export function moved(steps: readonly TypedStep[], at: number, by: -1 | 1): TypedStep[] {
  if (!steps[at + by]) return [...steps]
  return steps.toSpliced(
    Math.min(at, at + by),
    2,
    ...(by < 0 ? [steps[at]!, steps[at - 1]!] : [steps[at + 1]!, steps[at]!]),
  )
}
