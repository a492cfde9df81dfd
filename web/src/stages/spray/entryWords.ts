import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { countOf, textOf } from './depthPad'

const FAHRENHEIT = (celsius: number) => celsius * 1.8 + 32

/** What an entry of the log says, in words. */
export function useEntryWords() {
  const { t, n } = useI18n()
  const reader = useReader()
  const read = (celsius: number) =>
    reader.units === 'us' ? `${n(Math.round(FAHRENHEIT(celsius)))} °F` : `${n(Math.round(celsius * 10) / 10)} °C`
  return (entry: Schemas['LogEntryDocument']) => {
    const said = t(`spray.entry.${entry.kind}`, {
      depth: entry.depthMm == null ? '' : textOf(countOf(entry.depthMm, reader.units), reader.units),
      read: entry.tempC == null ? '' : read(entry.tempC),
      reason: entry.reason ? t(`spray.reason.${entry.reason}`) : '',
      item: entry.item ? t(`spray.item.${entry.item}`) : '',
      words: entry.words ?? '',
      side: entry.side?.toUpperCase() ?? '',
      lot: entry.lot ?? t('spray.noLot'),
      left: entry.left == null ? '' : n(entry.left, { style: 'percent' }),
    })
    return entry.place ? `${said} (${entry.place})` : said
  }
}
