import { useI18n } from 'vue-i18n'

/** How the parts of a list are set apart. */
export type Between = 'next' | 'apart' | 'plus' | 'and'

/** The core writes figures as 1,234.5 and its few words in English; here they become those of the reader's language. */
export function figureWriter(locale: string, words: Readonly<Record<string, string>>) {
  const marks = Object.fromEntries(
    new Intl.NumberFormat(locale, { useGrouping: true }).formatToParts(12345.6).map((part) => [part.type, part.value]),
  )
  const others = Object.entries(words).filter(([core, here]) => core !== here)
  const isAsWritten = marks.decimal === '.' && marks.group === ',' && others.length === 0
  if (isAsWritten) return (printed: string) => printed

  // The longest first: "per bd ft" holds "bd ft".
  const keys = Object.keys(words).sort((a, b) => b.length - a.length)
  const told = new RegExp(`(?<![\\p{L}/·])(?:${keys.join('|')})(?![\\p{L}\\d²³/·])|(?<=\\d)[.,](?=\\d)`, 'gu')
  return (printed: string) =>
    printed.replace(told, (one) => (one === '.' ? marks.decimal! : one === ',' ? (marks.group ?? '') : words[one]!))
}

// What the core writes for the sign of the firm's money, which it does not know.
const CURRENCY = /¤([-−]?)/g

/** Puts the sign of the firm's money where the core left room for it: $12.50, -$12.50, CHF 12.50. */
export function moneyWriter(sign: string) {
  const before = /[\p{L}.]$/u.test(sign) ? `${sign}\u00A0` : sign
  return (printed: string) => printed.replace(CURRENCY, (_, minus: string) => minus + before)
}

/** Lists, labels and notes put together as the reader's language does it. */
export function useWriting() {
  const { t } = useI18n()
  return {
    /** A list in words; empty where nothing is in it. */
    listed: (parts: readonly string[], between: Between = 'next') =>
      parts.length ? parts.reduce((list, next) => t(`writing.${between}`, { list, next })) : '',
    labelled: (label: string, value: string) => t('writing.labelled', { label, value }),
    noted: (value: string, note: string) => (note ? t('writing.noted', { value, note }) : value),
  }
}
