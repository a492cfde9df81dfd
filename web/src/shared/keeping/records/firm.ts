import type { QueryClient } from '@tanstack/vue-query'
import { api, ask, type Schemas } from '../../api/client'
import { hangsOnMaterial } from '../../state/price'
import { useReader } from '../../state/reader'
import { useSession } from '../../state/session'
import { keeps, partIn } from '../kinds'
import { keepsListed, type InList } from './listed'

type Firm = Schemas['FirmAnswer']

/** What stands in a field of the page of rates and practice. */
function partOfFirm(firm: Firm, field: string): unknown {
  const { rates, practice, margins } = firm
  const rate = rates && [rates.sets, rates.materials, rates.work].flat().find((one) => one.field === field)
  if (rate) return rate.figure ?? null
  if (field === 'profitIsMarkup') return rates?.profitIsMarkup
  if (field.startsWith('material-value:')) return firm.materialFigures[field] ?? firm.materialSources[field] ?? null
  const margin = margins.find((one) => one.field === field)
  if (margin) return margin.held ?? null
  const question = Object.keys(practice).find((one) => `practice${one}`.toLowerCase() === field.toLowerCase())
  return question === undefined ? partIn(firm, field) : practice[question]
}

keeps('firm', {
  routes: {
    '': {
      send: (_, body) => ask(api.PATCH('/api/firm', { body })),
      shown: (queries) => queries.getQueryData<Firm>(['firm']),
      partOf: (answer, field) => partOfFirm(answer as Firm, field),
    },
  },
  versionIn: (answer) => (answer as Firm | null)?.version,
  took(queries, _, answer) {
    const firm = answer as Firm
    queries.setQueryData(['firm'], firm)
    const { person } = useSession()
    if (person) {
      person.currency = firm.currency
      person.firm = firm.name
    }
    useReader().currency = firm.currency
    // Rates and practice bear on every choice and every price, and are among what the core beside the page is given.
    const bearOn = ['surface', 'job', 'supplies', 'materials', 'choices', 'firstSteps']
    void queries.invalidateQueries({ predicate: ({ queryKey: [kind] }) => bearOn.includes(kind as string) })
  },
})

type TargetSet = Schemas['TargetSetDetail']

keeps('targets', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/target-sets/{id}', { params: { path: { id } }, body })),
      shown: (queries, { id }) => queries.getQueryData<TargetSet[]>(['targetSets'])?.find((one) => one.id === id),
      partOf: (answer, field) => {
        const of = answer as TargetSet
        if (field === 'name') return of.edition
        return of.lines.flatMap((line) => line.cells).find((cell) => cell.field === field)?.greatestU ?? null
      },
    },
  },
  versionIn: (answer) => (answer as TargetSet | null)?.version,
  took(queries) {
    for (const key of ['choices', 'job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
    return queries.invalidateQueries({ queryKey: ['targetSets'] })
  },
})

keepsListed('template', {
  key: () => ['templates'],
  listIn: (answer: Schemas['TemplateAnswer'][]) => answer,
  send: ({ id }, body) => ask(api.PATCH('/api/templates/{id}', { params: { path: { id } }, body })),
  told: (queries) => void queries.invalidateQueries({ queryKey: ['templates'] }),
})

type Sheet = Schemas['SheetDetail']

keeps('sheet', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/sheets/{id}', { params: { path: { id } }, body })),
      shown: (queries, { id }) => queries.getQueryData<Sheet>(['sheets', id, undefined]),
      partOf: (answer, field) => partIn((answer as Sheet).summary, field),
    },
  },
  versionIn: (answer) => (answer as Sheet | null)?.summary.version,
  took(queries) {
    for (const key of ['choices', 'supplies', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
    return queries.invalidateQueries({ queryKey: ['sheets'] })
  },
})

type OwnPlace = Schemas['PlaceAnswer']

keeps('place', {
  routes: {
    '': {
      send: ({ id }, body) => ask(api.PATCH('/api/places/{id}', { params: { path: { id } }, body })),
      shown: (queries, { id }) =>
        (queries.getQueryData<OwnPlace[]>(['places']) ?? placesIn(queries))?.find((one) => one.id === id),
      partOf: (answer, field) => partIn(answer, field),
    },
  },
  versionIn: (answer) => (answer as OwnPlace | null)?.version,
  took(queries) {
    for (const key of ['job', 'surface']) void queries.invalidateQueries({ queryKey: [key] })
    return queries.invalidateQueries({ predicate: ({ queryKey: [kind] }) => kind === 'places' || kind === 'choices' })
  },
})

const placesIn = (queries: QueryClient) => queries.getQueryData<{ places: OwnPlace[] }>(['choices'])?.places

/** A record of a list of the firm that material and price of every job hang on. */
const keepsOfFirm = (kind: string, list: string, how: Pick<InList, 'listIn' | 'send' | 'names'>) =>
  keepsListed(kind, {
    ...how,
    key: () => [list],
    told: (queries) =>
      void queries.invalidateQueries({
        predicate: ({ queryKey: [of] }) => hangsOnMaterial(of) && of !== list,
      }),
  })

keepsOfFirm('lot', 'stock', {
  listIn: (answer: Schemas['StockAnswer']) => answer.lots,
  send: ({ id }, body) => ask(api.PATCH('/api/stock/{id}', { params: { path: { id } }, body })),
})
keepsOfFirm('pastJob', 'pastJobs', {
  listIn: (answer: Schemas['PastJobsAnswer']) => answer.jobs,
  send: ({ id }, body) => ask(api.PATCH('/api/past-jobs/{id}', { params: { path: { id } }, body })),
  names: { leftOut: 'leftOutBecause' },
})
keepsOfFirm('means', 'means', {
  listIn: (answer: Schemas['MeansBook']) => answer.all,
  send: ({ id }, body) => ask(api.PATCH('/api/means/{id}', { params: { path: { id } }, body })),
})
