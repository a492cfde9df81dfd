import { useWriting } from '@/i18n/writing'
import { useI18n } from 'vue-i18n'
import type { Finding, Schemas, Verdict } from '../api/client'
import { useReader } from '../state/reader'

type Remedy = Schemas['RemedyAnswer']

export const verdicts: readonly Verdict[] = ['clear', 'care', 'hold']

/** Sentences of findings and remedies, filled with figures in the reader's units. */
export function useFindingText() {
  const { t, te } = useI18n()
  const { listed } = useWriting()
  const reader = useReader()

  /** What meets at a place in a section: the two layers on either side of it. */
  function place(key: string) {
    const [outer, inner] = key.split('|').map((one) => t(`material.${one}`))
    if (key === 'foam|foam') return t('harmedPlace.betweenFoams')
    return outer === inner ? outer! : t('harmedPlace.against', { outer, inner })
  }

  /** Keys of the vocabulary become its words; the rest are words of people or of a sheet and stay as they are. */
  function word({ book, keys }: Schemas['WordAnswer']) {
    const told = (key: string) => (book === 'place' ? place(key) : book ? t(`${book}.${key}`) : key)
    return listed(keys.map(told))
  }

  function values(finding: Finding) {
    return {
      measured: reader.print(finding.measured),
      limit: reader.print(finding.limit),
      margin: reader.print(finding.margin),
      ...reader.printAll(finding.figures),
      ...Object.fromEntries(Object.entries(finding.words).map(([name, said]) => [name, word(said)])),
    }
  }

  const key = (finding: Finding) => `finding.${finding.rule}.${finding.case}`

  const title = (finding: Finding) => t(`${key(finding)}.t`, values(finding))
  const detail = (finding: Finding) => (te(`${key(finding)}.d`) ? t(`${key(finding)}.d`, values(finding)) : '')

  return {
    place,
    word,
    title,
    detail,
    /** Both as one. */
    told: (finding: Finding) => t('writing.told', { title: title(finding), detail: detail(finding) }),
    remedy: (remedy: Remedy) => t(`remedy.${remedy.kind}`, { ...reader.printAll(remedy.figures), ...remedy.words }),
  }
}
