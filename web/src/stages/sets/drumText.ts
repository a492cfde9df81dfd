import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

/** When a drum goes into its blanket, in a sentence. */
export function useDrumText() {
  const { t } = useI18n()
  const reader = useReader()
  return (drum: Schemas['DrumAnswer']) => {
    const words = { side: drum.side.toUpperCase(), start: reader.print(drum.start), wanted: reader.print(drum.wanted) }
    if (!drum.lead) return t('order.never', words)
    return drum.lead.figure.amount <= 0
      ? t('order.warmEnough', words)
      : t('order.blanketOn', { ...words, lead: reader.print(drum.lead.figure) })
  }
}
