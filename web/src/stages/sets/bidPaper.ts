import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useLineNames } from './lineNames'

type Answer = Schemas['JobPriceAnswer']

/** The bid as a paper for the customer, in the words and units of the screen. */
export function useBidPaper(answer: Ref<Answer | null>, job: () => string) {
  const { t, d } = useI18n()
  const reader = useReader()
  const session = useSession()
  const names = useLineNames()
  const fig = (name: string) => reader.print(answer.value?.bid.figures[name])
  const day = (iso: string) => d(new Date(`${iso}T12:00:00`), { dateStyle: 'medium' })

  // What no way allows on that day is priced as if it were warm enough, and says so.
  const held = computed(() => {
    const all = (answer.value?.surfaces ?? []).filter((one) => one.allHeld).map((one) => one.name)
    return all.length ? t('price.heldSurfaces', { names: all.join(', ') }) : ''
  })
  const missing = computed(() =>
    answer.value?.bid.missing.length
      ? t('price.missing', { names: answer.value.bid.missing.map(names.named).join(', ') })
      : '',
  )
  const free = computed(() =>
    answer.value?.bid.free.length ? t('price.free', { names: answer.value.bid.free.map(names.named).join(', ') }) : '',
  )
  const title = computed(() => t('price.paperTitle', { job: job() }))
  const money = computed(() =>
    session.person?.currency ? t('price.currency', { currency: session.person.currency }) : '',
  )

  const page = computed<Schemas['TablePage']>(() => ({
    units: reader.units,
    title: title.value,
    lead: [
      answer.value?.workDate
        ? t('price.paperDay', { day: day(answer.value.workDate) })
        : t('price.paperNoDay', { day: d(new Date(), { dateStyle: 'medium' }) }),
      t('price.paperArea', { area: fig('treated'), foam: fig('foam') }),
    ],
    columns: [
      { heading: t('price.col.what'), right: false, share: 4 },
      { heading: t('price.col.quantity'), right: true, share: 2 },
      { heading: t('price.col.amount'), right: true, share: 2 },
    ],
    lines: [
      ...(answer.value?.bid.lines ?? []).map((line) => ({
        cells: [names.line(line), reader.print(line.quantity), reader.print(line.amount.figure)],
        strong: false,
      })),
      { cells: [t('price.total'), '', fig('price')], strong: true },
    ],
    notes: [
      money.value,
      t('price.paperRate', { perArea: fig('perArea'), perBoardFoot: fig('perBoardFoot') }),
      missing.value,
      held.value,
      t('price.paperSeason'),
      t('price.paperSafety'),
    ].filter(Boolean),
    onePage: false,
  }))

  return { title, page, held, missing, free }
}
