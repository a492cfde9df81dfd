import first from 'virtual:words/first'
import { createI18n } from 'vue-i18n'
import { inPlaceOf } from './ownMaterial'

// What a firm named itself stands in no catalogue.
const OF_CATALOGUE = /^(?!material\.own:)/
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages: { en: first },
  missing: (_, key) => inPlaceOf(key),
  missingWarn: OF_CATALOGUE,
  fallbackWarn: OF_CATALOGUE,
})

let later: Promise<void> | undefined

/** The words of pages nobody starts on (`words.ts` beside the settings of the build says which). */
export function laterWords(): Promise<void> {
  later ??= import('virtual:words/later').then(({ default: words }) => i18n.global.mergeLocaleMessage('en', words))
  // What could not be fetched is fetched when it is asked for next.
  later.catch(() => (later = undefined))
  return later
}
