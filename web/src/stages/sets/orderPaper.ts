import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useFindingText } from '@/shared/figures/findings'
import { useReader } from '@/shared/state/reader'
import { useDays } from '@/shared/state/times'
import { useSession } from '@/shared/state/session'

type Answer = Schemas['JobOrderAnswer']
type Page = Schemas['TablePage']

/** What is ordered, as a file for whoever buys; what is loaded, as a page for the rig. In the words and units of the screen. */
export function useOrderPaper(answer: Ref<Answer | null>, job: () => string) {
  const { t } = useI18n()
  const reader = useReader()
  const session = useSession()
  const text = useFindingText()
  const lines = computed(() => answer.value?.lines ?? [])
  const day = useDays()
  const lead = computed(() => [
    job(),
    answer.value?.workDate ? t('order.for', { day: day(answer.value.workDate) }) : t('order.noDay'),
  ])

  /** Every line says which job it is for and by when: orders of several jobs are put under one another. */
  const orderPage = computed<Page>(() => {
    const priced = session.person?.mayPrice ?? false
    const currency = session.person?.currency
    const price = currency ? `${t('order.col.price')}, ${currency}` : t('order.col.price')
    return {
      units: reader.units,
      title: t('order.orderTitle'),
      lead: [...lead.value, ...(answer.value?.orderBy ? [t('order.by', { day: day(answer.value.orderBy) })] : [])],
      columns: [
        { heading: t('order.col.job'), right: false, share: 3 },
        { heading: t('price.workDate'), right: false, share: 2 },
        { heading: t('order.col.by'), right: false, share: 2 },
        { heading: t('order.col.product'), right: false, share: 3 },
        { heading: t('order.col.sets'), right: true, share: 1 },
        { heading: t('order.col.drumsA'), right: true, share: 1 },
        { heading: t('order.col.drumsB'), right: true, share: 1 },
        ...(priced ? [{ heading: price, right: true, share: 2 }] : []),
      ],
      lines: lines.value
        .filter((line) => line.orderCount > 0)
        .map((line) => {
          const count = String(line.orderCount)
          const { workDate, orderBy } = answer.value!
          const cells = [job(), workDate ?? '', orderBy ?? '', line.sheet, count, count, count]
          return { cells: priced ? [...cells, reader.print(line.price)] : cells, strong: false }
        }),
      notes: [t('order.warm')],
      onePage: false,
    }
  })

  const loadPage = computed<Page>(() => ({
    units: reader.units,
    title: t('order.loadTitle'),
    lead: lead.value,
    columns: [
      { heading: t('order.col.product'), right: false, share: 3 },
      { heading: t('order.col.load'), right: true, share: 1 },
      { heading: t('order.col.weight'), right: true, share: 1.4 },
      { heading: t('order.col.blanket'), right: false, share: 4 },
    ],
    lines: [
      ...lines.value.map((line) => ({
        cells: [line.sheet, String(line.load), reader.print(line.weight), line.drums.map(blanket).join('; ')],
        strong: false,
      })),
      { cells: [t('order.all'), '', reader.print(answer.value?.weight), ''], strong: true },
    ],
    notes: [
      ...(answer.value?.findings ?? []).map((one) => `${text.title(one)}. ${text.detail(one)}`),
      t('order.lots'),
      t('order.core'),
      t('order.safety'),
    ],
    onePage: true,
  }))

  function blanket(drum: Schemas['DrumAnswer']) {
    const words = { side: drum.side.toUpperCase(), start: reader.print(drum.start), wanted: reader.print(drum.wanted) }
    if (!drum.lead) return t('order.never', words)
    return drum.lead.figure.amount <= 0
      ? t('order.warmEnough', words)
      : t('order.blanketOn', { ...words, lead: reader.print(drum.lead.figure) })
  }

  return { orderPage, loadPage, blanket, day }
}
