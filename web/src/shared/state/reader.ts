import { defineStore } from 'pinia'
import { computed, ref, watchEffect } from 'vue'
import { figureWriter, moneyWriter } from '@/i18n/writing'
import { i18n } from '@/i18n'
import { api, type Figure, type Schemas } from '../api/client'

export type Units = Schemas['UnitSystem']
export type Theme = 'daylight' | 'attic'

/** How this person reads: units, theme, and the surface in hand of each job. */
export const useReader = defineStore('reader', () => {
  const units = ref<Units>('us')
  const theme = ref<Theme>(localStorage.getItem('theme') === 'attic' ? 'attic' : 'daylight')
  const currency = ref('')
  const inHand = ref<Record<string, string>>({})

  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
    document.documentElement.classList.toggle('dark', theme.value === 'attic')
    localStorage.setItem('theme', theme.value)
  })

  const written = computed(() => figureWriter(i18n.global.t('writing.locale'), i18n.global.tm('figure')))

  const money = computed(() => moneyWriter(currency.value))

  /** The figure as this person reads it. */
  function print(figure: Figure | null | undefined) {
    return figure ? money.value(written.value(figure[units.value])) : ''
  }

  /** The figure as it stands in a field: a pace of 1,100.000 reads as 1,100. */
  const typed = (figure: Figure | null | undefined) =>
    print(figure)
      .replace(/(\.\d*?)0+$/, '$1')
      .replace(/\.$/, '')

  /** The same of several, by name. */
  const printAll = (figures: Record<string, Figure>) =>
    Object.fromEntries(Object.entries(figures).map(([name, figure]) => [name, print(figure)]))

  function switchUnits() {
    units.value = units.value === 'us' ? 'metric' : 'us'
    // The choice follows the person, also when the page is left at once; should the server not hear it, this screen
    // still has it.
    void api.PUT('/api/session/units', { body: { units: units.value }, keepalive: true }).catch(() => undefined)
  }

  function switchTheme() {
    theme.value = theme.value === 'attic' ? 'daylight' : 'attic'
  }

  return { units, theme, currency, inHand, print, typed, printAll, switchUnits, switchTheme }
})
