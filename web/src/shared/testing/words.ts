import { i18n, laterWords } from '@/i18n'

await laterWords()

// The name of a message in place of its words is a fault wherever it shows.
i18n.global.setMissingHandler((_, key) => {
  throw new Error(`There is no message “${key}”.`)
})
