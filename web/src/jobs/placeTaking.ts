import { ref } from 'vue'
import type { Schemas } from '../shared/api/client'
import { useReader } from '../shared/state/reader'
import type { useTypedForm } from '../shared/state/typedForm'

type Form = Pick<ReturnType<typeof useTypedForm>, 'values' | 'typed'>
type Place = Pick<Schemas['PlaceAnswer'], 'name' | 'climateZone' | 'figures'>

interface Taken {
  name: string
  /** Fields that were filled from the place. */
  fields: string[]
  /** Fields that had been typed and stay, with what the place would give. */
  kept: { field: string; value: string }[]
}

/**
 * Fills a job's form from a place: zone, altitude and outdoor design air. What the person typed stays and is told, with
 * one tap to the place's own value; what was filled can be taken back.
 */
export function usePlaceTaking(form: Form, placeOf: (id: string | undefined) => Place | undefined) {
  const reader = useReader()
  const taken = ref<Taken | null>(null)
  // What the last place put into the fields: text that differs from it was typed by the person.
  let filled: Record<string, string> = {}
  let before: Record<string, string> = {}

  const brought = (place: Place): Record<string, string> => ({
    climateZone: place.climateZone,
    altitude: reader.print(place.figures.altitude),
    outdoorTemp: reader.print(place.figures.heating),
    summerOutdoorTemp: reader.print(place.figures.cooling),
    summerOutdoorHumidity: reader.print(place.figures.coolingRh),
  })
  const byHand = (field: string) => {
    const text = form.typed.value[field]
    return text !== undefined && text !== filled[field]
  }

  return {
    taken,
    take(id: string | undefined) {
      const place = placeOf(id)
      taken.value = null
      if (!place) return
      const values = Object.entries(brought(place)).filter(([field, value]) => form.values[field] !== value)
      const kept = values.filter(([field]) => byHand(field)).map(([field, value]) => ({ field, value }))
      const fill = Object.fromEntries(values.filter(([field]) => !byHand(field)))
      before = Object.fromEntries(Object.keys(fill).map((field) => [field, form.values[field] ?? '']))
      filled = { ...filled, ...fill }
      Object.assign(form.values, fill)
      taken.value = { name: place.name, fields: Object.keys(fill), kept }
    },
    undo() {
      Object.assign(form.values, before)
      taken.value = null
    },
    takeOne(field: string) {
      const one = taken.value?.kept.find((kept) => kept.field === field)
      if (!one || !taken.value) return
      form.values[field] = one.value
      filled[field] = one.value
      taken.value.kept = taken.value.kept.filter((kept) => kept !== one)
    },
  }
}
