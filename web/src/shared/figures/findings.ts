import { useI18n } from 'vue-i18n'
import type { Finding, Schemas, Verdict } from '../api/client'
import { useReader } from '../state/reader'

type Remedy = Schemas['RemedyAnswer']

export const verdicts: readonly Verdict[] = ['clear', 'care', 'hold']

const camel = (name: string) => name.charAt(0).toLowerCase() + name.slice(1)

/** Sentences of findings and remedies, filled with figures in the reader's units. */
export function useFindingText() {
  const { t, te } = useI18n()
  const reader = useReader()

  /** What meets at a place in a section: the two layers on either side of it. */
  function place(key: string) {
    const [outer, inner] = key.split('|').map((one) => t(`material.${one}`))
    if (key === 'foam|foam') return t('harmedPlace.betweenFoams')
    return outer === inner ? outer! : t('harmedPlace.against', { outer, inner })
  }

  const figures = (all: Record<string, Schemas['FigureAnswer']>) =>
    Object.fromEntries(Object.entries(all).map(([name, figure]) => [name, reader.print(figure)]))

  function values(finding: Finding) {
    const words = { ...finding.words }
    if (words.items) {
      words.items = words.items
        .split(',')
        .map((item) =>
          t(`window.prepItem.${camel(item)}`)
            .split(':')[0]!
            .toLowerCase(),
        )
        .join(', ')
    }
    // Keys of the vocabulary become its words; the rest are words of people and stay as they are.
    if (finding.rule === 'joint') {
      words.joint = t(`joint.${camel(words.joint!)}`)
      words.layers = (words.layers ?? '')
        .split(',')
        .filter(Boolean)
        .map((layer) => t(`layer.${camel(layer)}`))
        .join(', ')
    }
    if (words.month) words.month = t(`month.${words.month}`)
    if (words.place) words.place = place(words.place)
    if (words.layer && finding.rule !== 'joint') words.layer = t(`material.${words.layer!}`)
    return {
      measured: reader.print(finding.measured),
      limit: reader.print(finding.limit),
      margin: reader.print(finding.margin),
      ...figures(finding.figures),
      ...words,
    }
  }

  const key = (finding: Finding) => `finding.${finding.rule}.${finding.case}`

  return {
    place,
    title: (finding: Finding) => t(`${key(finding)}.t`, values(finding)),
    detail: (finding: Finding) => (te(`${key(finding)}.d`) ? t(`${key(finding)}.d`, values(finding)) : ''),
    remedy: (remedy: Remedy) => t(`remedy.${remedy.kind}`, { ...figures(remedy.figures), ...remedy.words }),
  }
}
