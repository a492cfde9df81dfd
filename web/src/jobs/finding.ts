import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../shared/api/client'
import { useJobStanding } from './jobLife'

type Card = Schemas['JobCard']
export const orders = ['newest', 'workDate', 'name'] as const
export type Order = (typeof orders)[number]

/** Where a job lies: jobs in work come first, the others are out of the way. */
export const shelves = ['inWork', 'archived', 'deleted'] as const
export type Shelf = (typeof shelves)[number]

/** What is looked for; an empty text is no wish. */
export interface Wanted {
  words: string
  crew: string
  place: string
  state: string
  shelf: Shelf
  order: Order
}

/** Looks for nothing: all jobs as they come. */
export const ALL: Wanted = { words: '', crew: '', place: '', state: '', shelf: 'inWork', order: 'newest' }

/** What stands in the address: what is wished otherwise than all. */
export const queryOf = (wanted: Wanted) =>
  Object.fromEntries(Object.entries(wanted).filter(([key, text]) => text !== ALL[key as keyof Wanted]))

// Whoever types "cafe" finds "Café" too.
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
const textOf = ({ job, place }: Card) => plain([job.name, job.crew, place, job.climateZone].filter(Boolean).join(' '))
const FAR = '9999'
const compare: Record<Order, (a: Card, b: Card) => number> = {
  // As they come.
  newest: () => 0,
  workDate: (a, b) => (a.workDate ?? FAR).localeCompare(b.workDate ?? FAR),
  name: (a, b) => a.job.name.localeCompare(b.job.name),
}

/** The jobs that have every word typed in their name, crew, place or zone, in the order wished for. */
export function foundOf(cards: readonly Card[], { words, crew, place, state, order }: Wanted): Card[] {
  const parts = plain(words).split(/\s+/).filter(Boolean)
  const has = (card: Card) => {
    if (crew && card.job.crew !== crew) return false
    if ((place && card.place !== place) || (state && card.job.state !== state)) return false
    const text = parts.length ? textOf(card) : ''
    return parts.every((part) => text.includes(part))
  }
  return cards.filter(has).sort(compare[order])
}

const namesOf = (names: (string | null)[]) =>
  [...new Set(names.filter((name): name is string => !!name))].sort((a, b) => a.localeCompare(b))

/** What is looked for among the jobs. It stands in the address, so that one finds it again on coming back. */
export function useJobFinding(cards: () => readonly Card[]) {
  const [route, router] = [useRoute(), useRouter()]
  const standing = useJobStanding()
  const onShelf = computed(() =>
    wanted.shelf === 'deleted'
      ? []
      : cards().filter(({ job }) => standing.isArchived(job) === (wanted.shelf === 'archived')),
  )
  const asked = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : '')
  const wanted = reactive<Wanted>({
    words: asked('words'),
    crew: asked('crew'),
    place: asked('place'),
    state: asked('state'),
    shelf: shelves.find((shelf) => shelf === asked('shelf')) ?? ALL.shelf,
    order: orders.find((order) => order === asked('order')) ?? ALL.order,
  })
  watch(wanted, () => void router.replace({ query: queryOf(wanted) }))
  return {
    wanted,
    onShelf,
    found: computed(() => foundOf(onShelf.value, wanted)),
    crews: computed(() => namesOf(cards().map(({ job }) => job.crew))),
    places: computed(() => namesOf(cards().map(({ place }) => place))),
    clear: () => Object.assign(wanted, { ...ALL, order: wanted.order, shelf: wanted.shelf }),
  }
}
