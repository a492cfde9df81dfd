import first from 'virtual:words/first'
import { createI18n } from 'vue-i18n'

export const i18n = createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages: { en: first } })

let later: Promise<void> | undefined

/** The words of pages nobody starts on (`words.ts` beside the settings of the build says which). */
export function laterWords(): Promise<void> {
  later ??= import('virtual:words/later').then(({ default: words }) => i18n.global.mergeLocaleMessage('en', words))
  // What could not be fetched is fetched when it is asked for next.
  later.catch(() => (later = undefined))
  return later
}
