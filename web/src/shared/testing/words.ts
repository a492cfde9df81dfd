import { i18n, laterWords } from '@/i18n'
import { inPlaceOf } from '@/i18n/ownMaterial'

await laterWords()

// The name of a message in place of its words is a fault wherever it shows.
i18n.global.setMissingHandler((_, key) => {
  const own = inPlaceOf(key)
  if (own !== key) return own
  throw new Error(`There is no message “${key}”.`)
})
