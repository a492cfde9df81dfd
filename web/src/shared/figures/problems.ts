import { useWriting } from '@/i18n/writing'
import { useI18n } from 'vue-i18n'
import { ApiProblem, isNoAnswer, type FieldFault } from '../api/client'
import { useReader } from '../state/reader'

interface Refused {
  fault?: FieldFault
  refusal?: { status: number; detail: string }
}

/** Words for refusals: one sentence for a field, one for a screen. */
export function useProblems() {
  const { t } = useI18n()
  const { listed } = useWriting()
  const reader = useReader()

  function sentence(fault: FieldFault) {
    if (fault.code === 'contradicts')
      return t(`dataFile.sheet.${fault.words![0]}`, reader.printAll(fault.figures ?? {}))
    const parts = (fault.words ?? []).map((word) => t(`part.${word}`)).join(' × ')
    const typed = fault.typed.length > 40 ? `${fault.typed.slice(0, 40)}…` : fault.typed
    const range = { least: reader.print(fault.least), greatest: reader.print(fault.greatest) }
    const told = t(`problem.field.${fault.code}`, { typed, parts, ...range })
    return range.least && range.greatest && fault.code !== 'outOfRange' ? t('problem.range', { told, ...range }) : told
  }

  // What is wrong with a file, in one sentence.
  function ofFile(problem: ApiProblem) {
    if (problem.file?.fault === 'tooLarge') {
      const [name, size, most] = problem.file.detail.split('|')
      return t('problem.file.tooLarge', { name, size, most })
    }
    return problem.file ? t(`problem.file.${problem.file.fault}`, { ...problem.file }) : ''
  }

  /** One sentence for what no field is at fault for. */
  function general(cause: unknown) {
    if (!(cause instanceof ApiProblem)) return t('problem.server')
    if (cause.file) return ofFile(cause)
    if (cause.lines.length) {
      const lines = cause.lines
        .slice(0, 6)
        .map(({ line, path, sentence }) => t('problem.file.line', { line, path, sentence }))
      return t('problem.file.lines', { lines: listed(lines, 'apart') })
    }
    if (cause.status === 0 || (isNoAnswer(cause) && !cause.detail)) return t('problem.waits.silent')
    if (cause.status === 403) return cause.detail || t('problem.forbidden')
    if (cause.status === 404) return cause.deleted ? cause.detail : t('problem.notFound')
    if (cause.status === 413) return t('problem.tooLarge')
    return cause.status >= 500 ? cause.detail || t('problem.server') : cause.detail
  }

  /** Sentences by field where fields are at fault; otherwise one under the empty key. */
  function byField(cause: unknown): Record<string, string> {
    const faults = cause instanceof ApiProblem ? cause.faults : []
    return faults.length
      ? Object.fromEntries(faults.map((fault) => [fault.field, sentence(fault)]))
      : { '': general(cause) }
  }

  /** Why something entered was refused, as it is kept with it; empty where it was not. */
  function ofRefused({ fault, refusal }: Refused = {}) {
    if (fault) return sentence(fault)
    return refusal ? general(new ApiProblem(refusal.status, refusal.detail, [], null)) : ''
  }

  return { sentence, general, byField, ofRefused }
}
