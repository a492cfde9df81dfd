import type { Schemas } from '../api/client'

/** What a field is typed with: it decides the keyboard of a phone, and the keys that keyboard lacks. */
export type TypedKind = 'temperature' | 'length' | 'size' | 'percent' | 'number'

type Units = Schemas['UnitSystem']
const EIGHTHS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8']
const KEYS: Record<TypedKind, Record<Units, readonly string[]>> = {
  temperature: { us: ['±', '°F', '°C'], metric: ['±', '°C', '°F'] },
  length: { us: ['ft', 'in', ...EIGHTHS], metric: ['mm', 'cm', 'm'] },
  size: { us: ['×', 'ft', 'in', ...EIGHTHS], metric: ['×', 'm', 'cm', 'mm'] },
  percent: { us: ['%'], metric: ['%'] },
  number: { us: ['±'], metric: ['±'] },
}

/** What the fields of the product are typed with, by name; what is not listed is words. */
const FIELDS: Record<TypedKind, readonly string[]> = {
  temperature: [
    ...['substrate', 'air', 'drumA', 'drumB', 'outdoorAir', 'thermometerError', 'expectedSubstrate', 'expectedDrum'],
    ...['indoor', 'outdoor', 'indoorTemp', 'outdoorTemp', 'summerIndoorTemp', 'summerOutdoorTemp'],
  ],
  length: [
    ...['memberDepth', 'memberSpacing', 'ventChannel', 'penetration', 'flange', 'web', 'skin'],
    ...['altitude', 'height', 'thickness'],
  ],
  size: ['size'],
  percent: [
    ...['humidity', 'wood', 'concrete', 'moistureError', 'correction', 'memberShare', 'risk'],
    ...['indoorHumidity', 'outdoorHumidity', 'summerIndoorHumidity', 'summerOutdoorHumidity'],
  ],
  number: [
    ...['repeats', 'volume', 'zeroBefore', 'zeroAfter', 'profileFactor', 'doorSpare', 'spaceVolume', 'spaceAirChanges'],
    ...['heater', 'airChanges', 'airChangesPlanned', 'otherLoss', 'ductLoss'],
  ],
}
const BY_FIELD = new Map(
  (Object.keys(FIELDS) as TypedKind[]).flatMap((kind) => FIELDS[kind].map((field) => [field, kind] as const)),
)
export const kindOf = (field: string) => BY_FIELD.get(field)

/** Attributes of a field: digits first, where digits are what is typed. */
export const fieldKeys = (kind?: TypedKind) =>
  kind ? { inputmode: 'decimal' as const, 'data-keys': kind } : { inputmode: undefined }

export const keysOf = (kind: TypedKind, units: Units): readonly string[] => KEYS[kind][units]

/** The text and the place of the cursor after a key: a minus goes to the front, a fraction apart from the whole before it. */
export function typedKey(text: string, from: number, to: number, key: string): { text: string; at: number } {
  if (key === '±') {
    const bare = text.replace(/^\s*[-−]/, '')
    const signed = bare === text ? `-${text.trimStart()}` : bare
    return { text: signed, at: Math.max(0, from + signed.length - text.length) }
  }
  const before = text.slice(0, from)
  const after = text.slice(to)
  const apart = key === '×' ? ' × ' : /\S$/.test(before) && !/[-−]$/.test(before) ? ` ${key}` : key
  // What was put apart already is not put apart twice.
  const put = /\s$/.test(before) ? apart.trimStart() : apart
  return { text: before + put + after, at: before.length + put.length }
}
