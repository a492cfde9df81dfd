import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, reactive } from 'vue'
import { api, ask, type Schemas } from '../shared/api/client'
import { answerHere } from '../shared/core/browserCore'
import { useReader } from '../shared/state/reader'
import { useSession } from '../shared/state/session'
import { cards, type Card } from './cards'

type Question = Schemas['PocketQuestion']
type Answer = Schemas['PocketAnswer']

// Left as it is while one goes between the cards and the pages; another person begins with nothing.
const typed = reactive({ by: '', sheet: '', fields: {} as Record<string, string> })

const NOTHING: Answer = { figures: {}, inches: [], finding: null, note: null, faults: [] }

/** The core beside the page answers, with no connection either; where it does not run the server does. */
export async function answerOf(question: Question): Promise<Answer> {
  const here = answerHere('pocket', question)
  return here ? (JSON.parse(here) as Answer) : ask(api.POST('/api/compute/pocket', { body: question }))
}

/** What is typed on a card, and what comes of it. */
export function usePocket(card: () => Card, sheets: () => readonly string[]) {
  const reader = useReader()
  const person = useSession().person?.id ?? ''
  if (typed.by !== person) Object.assign(typed, { by: person, sheet: '', fields: {} })
  const sheetId = computed({
    get: () => (sheets().includes(typed.sheet) ? typed.sheet : (sheets()[0] ?? '')),
    set: (sheet) => (typed.sheet = sheet),
  })
  const question = computed((): Question => ({
    card: card(),
    sheetId: sheetId.value,
    units: reader.units,
    fields: Object.fromEntries(Object.keys(cards[card()].fields).map((field) => [field, typed.fields[field] ?? ''])),
  }))
  const asked = refDebounced(question, 60)
  const answer = useQuery({
    queryKey: ['pocket', asked],
    queryFn: () => answerOf(asked.value),
    enabled: () => asked.value.sheetId !== '',
    // An answer to another card is no answer to this one.
    placeholderData: (before, query) =>
      (query?.queryKey[1] as Question | undefined)?.card === asked.value.card ? keepPreviousData(before) : undefined,
    staleTime: 60_000,
    networkMode: 'always',
  })
  return {
    sheetId,
    fields: typed.fields,
    answer: computed(() => answer.data.value ?? NOTHING),
    error: answer.error,
    retry: () => answer.refetch(),
  }
}
