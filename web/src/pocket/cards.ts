import type { Schemas } from '../shared/api/client'
import type { TypedKind } from '../shared/typing/fieldKeys'

export type Card = Schemas['PocketCard']

/** The cards, each with its fields in the order they are asked for, and the figures its answer shows, the one that matters first. */
export const cards: Record<Card, { fields: Record<string, TypedKind>; figures: readonly string[] }> = {
  dew: {
    fields: { air: 'temperature', humidity: 'percent', surface: 'temperature' },
    figures: ['margin', 'dewPoint'],
  },
  sets: {
    fields: { area: 'size', thickness: 'length' },
    figures: ['load', 'volume', 'median', 'yield', 'price', 'cost'],
  },
  thickness: { fields: { r: 'number' }, figures: ['thickness', 'lifts', 'eachLift', 'thickest', 'greatestR'] },
  inch: { fields: { present: 'number' }, figures: [] },
  drums: {
    fields: { drum: 'temperature', around: 'temperature', blanket: 'number' },
    figures: ['leadA', 'leadB', 'wanted'],
  },
}

export const cardNames = Object.keys(cards) as Card[]
