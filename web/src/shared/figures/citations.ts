import { useI18n } from 'vue-i18n'
import type { Schemas } from '../api/client'
import { useReader } from '../state/reader'

/** What a judgement or a figure rests on, in the reader's words and units. */
export function useCitation() {
  const { t } = useI18n()
  const reader = useReader()
  return ({ key, words, figures }: Schemas['CitationAnswer']) =>
    t(`cited.${key}`, { ...words, ...reader.printAll(figures) })
}
