import { useWriting } from '@/i18n/writing'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** The lifts of a section in words: what each is thick, and how long and how cool between them; by product where there are several. */
export function useLiftsText() {
  const { t } = useI18n()
  const { listed } = useWriting()
  const reader = useReader()

  function one(lifts: Schemas['LiftsAnswer']) {
    const words = {
      count: lifts.count,
      lift: reader.print(lifts.each),
      wait: reader.print(lifts.wait),
      cool: reader.print(lifts.coolBelow),
    }
    return t(lifts.count === 1 ? 'section.figures.liftsOne' : 'section.figures.lifts', words)
  }

  return (all: readonly Schemas['LiftsAnswer'][]) =>
    all.length === 1
      ? one(all[0]!)
      : listed(
          all.map((lifts) => t('section.figures.liftsOf', { foam: lifts.foam, lifts: one(lifts) })),
          'apart',
        )
}
