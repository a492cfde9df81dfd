import { useQuery } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import type { TypedKind } from '@/shared/typing/fieldKeys'

export type Sheet = Schemas['SheetDetail']
export type SheetLine = Schemas['SheetLineAnswer']
export type SheetCurve = Schemas['SheetCurveAnswer']

/** The parts of a sheet, in the order they are read. */
export const PARTS = ['product', 'foam', 'lifts', 'conditions', 'yield', 'rig', 'afterwards'] as const

export const useSheets = () => useQuery({ queryKey: ['sheets'], queryFn: () => ask(api.GET('/api/sheets')) })

/** One edition of a product; the one that stands where none is named. */
export const useSheet = (id: MaybeRefOrGetter<string>, number: MaybeRefOrGetter<number | undefined> = undefined) =>
  useQuery({
    queryKey: ['sheets', id, number],
    queryFn: () =>
      ask(
        api.GET('/api/sheets/{id}', {
          params: { path: { id: toValue(id) }, query: { number: toValue(number) } },
        }),
      ),
    enabled: () => toValue(id) !== '',
  })

const KEYS: Partial<Record<NonNullable<SheetLine['dimension']>, TypedKind>> = {
  temperature: 'temperature',
  thickness: 'length',
  relativeHumidity: 'percent',
  moistureContent: 'percent',
}

/** What a line is typed with. */
export const keysFor = ({ dimension }: Pick<SheetLine, 'dimension'>): TypedKind | undefined =>
  dimension ? (KEYS[dimension] ?? 'number') : undefined

/** What a point's figure is typed with. */
export const keysForPoint = (name: string): TypedKind =>
  name === 'tempC' ? 'temperature' : name === 'thicknessIn' ? 'length' : 'number'
