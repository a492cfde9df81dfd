import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useCandidateText } from '@/shared/figures/candidateText'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { nowMs } from '@/shared/state/clock'
import { useDays, useTimes } from '@/shared/state/times'
import { useLineNames } from './lineNames'

type Answer = Schemas['JobPriceAnswer']
type Job = Pick<Schemas['JobAnswer'], 'id' | 'name'>
type Page = Schemas['TablePage']

/**
 * The bid on two papers, in the words and units of the screen: the outer one for the customer tells what is done and
 * what it costs; the inner one shows how the price comes about and stays in the firm.
 */
export function useBidPaper(answer: Ref<Answer | null>, ofJob: () => Job | undefined) {
  const { t } = useI18n()
  const job = () => ofJob()?.name ?? ''
  const reader = useReader()
  const session = useSession()
  const names = useLineNames()
  const systems = useCandidateText()
  const bid = computed(() => answer.value?.bid)
  const surfaces = computed(() => answer.value?.surfaces ?? [])
  const fig = (name: string) => reader.print(bid.value?.figures[name])
  const day = useDays()
  const times = useTimes(() => ofJob()?.id ?? '')
  const named = (key: string, list: readonly string[] | undefined) =>
    list?.length ? t(key, { names: list.map(names.named).join(', ') }) : ''

  // What no way allows on that day is priced as if it were warm enough, and says so.
  const held = computed(() =>
    named(
      'price.heldSurfaces',
      surfaces.value.filter((one) => one.allHeld).map((one) => one.name),
    ),
  )
  const missing = computed(() => named('price.missing', bid.value?.missing))
  const free = computed(() => named('price.free', bid.value?.free))
  const when = computed(() =>
    answer.value?.workDate
      ? t('price.paperDay', { day: day(answer.value.workDate) })
      : t('price.paperNoDay', { day: times.day(new Date(nowMs())) }),
  )
  const money = computed(() =>
    session.person?.currency ? t('price.currency', { currency: session.person.currency }) : '',
  )

  const what = (one: Schemas['BidSurfaceAnswer']) => (one.layers.length ? systems.layers(one.layers) : '–')
  const sum = (label: string, amount: string, blanks: number) => ({
    cells: [label, ...Array<string>(blanks).fill(''), amount],
    strong: true,
  })

  const outer = computed<Page>(() => {
    const tax = bid.value?.lines.find((line) => line.key === 'tax')
    return {
      units: reader.units,
      title: t('price.outer.title', { job: job() }),
      lead: [when.value, t('price.outer.area', { area: fig('treated') })],
      columns: [
        { heading: t('price.surfaceCol.name'), right: false, share: 3 },
        { heading: t('price.outer.areaCol'), right: true, share: 1.5 },
        { heading: t('price.outer.what'), right: false, share: 4 },
        { heading: t('price.outer.r'), right: true, share: 1.6 },
        { heading: t('price.col.amount'), right: true, share: 1.8 },
      ],
      lines: [
        ...surfaces.value.map((one) => ({
          cells: [one.name, reader.print(one.treated), what(one), one.r ? reader.print(one.r) : '–', ''],
          strong: false,
        })),
        ...(tax
          ? [sum(t('price.outer.net'), fig('net'), 3), sum(t('price.line.tax'), reader.print(tax.amount.figure), 3)]
          : []),
        sum(t('price.total'), fig('price'), 3),
      ],
      notes: [money.value, held.value, t('price.outer.rNote'), t('price.paperSeason'), t('price.paperSafety')].filter(
        Boolean,
      ),
      onePage: false,
    }
  })

  const inner = computed<Page>(() => ({
    units: reader.units,
    title: t('price.inner.title', { job: job() }),
    lead: [t('price.inner.mark'), when.value, t('price.paperArea', { area: fig('treated'), foam: fig('foam') })],
    columns: [
      { heading: t('price.col.what'), right: false, share: 4 },
      { heading: t('price.col.quantity'), right: true, share: 2 },
      { heading: t('price.col.amount'), right: true, share: 2 },
    ],
    lines: [
      ...(bid.value?.lines ?? []).map((line) => ({
        cells: [names.line(line), reader.print(line.quantity), reader.print(line.amount.figure)],
        strong: false,
      })),
      sum(t('price.total'), fig('price'), 1),
    ],
    notes: [
      money.value,
      t('price.paperRate', { perArea: fig('perArea'), perBoardFoot: fig('perBoardFoot') }),
      ...surfaces.value.map(
        (one) => `${one.name}: ${reader.print(one.treated)}, ${what(one)}, ${reader.print(one.sets)}`,
      ),
      missing.value,
      free.value,
      held.value,
    ].filter(Boolean),
    onePage: false,
  }))

  return { outer, inner, held, missing, free }
}
