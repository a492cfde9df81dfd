import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask, type Schemas } from '../api/client'
import { useReader } from '../state/reader'
import { useTimes } from '../state/times'

export type Hours = Schemas['HoursOfSurface']
export type Hour = Schemas['HourAnswer']

/** What is done about the weather; empty for nothing. */
export interface Acts {
  tent?: boolean
  product?: string
  heatFrom?: string
  holdC?: number
  dryFrom?: string
  washedAt?: string
}

/** The hours of a surface: asked once, and again every quarter of an hour; nothing is asked while one looks at an hour. */
export const useHours = (surface: MaybeRefOrGetter<string>, acts: MaybeRefOrGetter<Acts> = {}) =>
  useQuery({
    queryKey: ['surface', surface, 'hours', acts],
    queryFn: () =>
      ask(api.GET('/api/surfaces/{id}/hours', { params: { path: { id: toValue(surface) }, query: toValue(acts) } })),
    placeholderData: (before, query) => (query?.queryKey[1] === toValue(surface) ? before : undefined),
    refetchInterval: 15 * 60_000,
    enabled: computed(() => toValue(surface) !== ''),
    shallow: true,
  })

const NEAR = { substrate: true, air: true, dew: true, humidity: true, wind: true }
type Near = keyof typeof NEAR

/** What an hour says, in words. */
export function useHourWords(job: MaybeRefOrGetter<string>, hours: MaybeRefOrGetter<Hours | undefined>) {
  const { t } = useI18n()
  const reader = useReader()
  const times = useTimes(job)

  /** What limits the hour, with reading and limit; nothing where it is clear. */
  function limit(hour: Hour): string {
    const limits = toValue(hours)?.limits
    if (!hour.limit || !limits) return ''
    const { sheet, ...figures } = limits
    const said = {
      sheet,
      ...reader.printAll(figures),
      ...reader.printAll(hour.figures),
      greatestHumidity: reader.print(limits.humidity),
      greatestWind: reader.print(limits.wind),
    }
    // The middle figures stand in the sentence: where they are not what falls short, runs that do are counted.
    const middle = hour.limitShortfall > 0.5 ? 'hold' : hour.limitShortfall > 0 ? 'care' : 'clear'
    if (hour.limit === 'rain' || hour.limit === 'unknown' || middle === 'hold')
      return t(`hours.limit.${hour.limit}`, said)
    if (hour.verdict === 'care' && middle === 'care' && hour.limit in NEAR) {
      return t(`hours.near.${hour.limit as Near}`, said)
    }
    const failing = runs() - hour.passing
    return failing ? t(`hours.some.${hour.limit}`, { failing, runs: runs() }) : t('hours.someNear')
  }

  const verdict = (hour: Hour) => t(`verdict.${hour.verdict ?? 'none'}`)

  /** The hour in one sentence: when, verdict, and what limits it. */
  function told(hour: Hour): string {
    const when = times.hour(hour.start)
    if (!hour.verdict) return t('hours.toldUnknown', { when })
    return hour.limit
      ? t('hours.told', { when, verdict: verdict(hour), limit: limit(hour) })
      : t('hours.toldClear', { when, verdict: verdict(hour) })
  }

  const runs = () => toValue(hours)?.source?.members ?? 0

  /** Readings to expect in the hour, and how sure a start in it is. */
  function readings(hour: Hour): string[] {
    if (!hour.verdict) return []
    const figures = reader.printAll(hour.figures)
    const told = { ...figures, passing: hour.passing, runs: runs() }
    return [
      t(`hours.readings${hour.figures.gust ? 'Open' : ''}`, told),
      ...(hour.figures.start ? [t('hours.start', figures)] : []),
    ]
  }

  /** Sunrise and sunset of its day. */
  function sun(hour: Hour): string {
    const day = toValue(hours)?.days.findLast((one) => Date.parse(one.start) <= Date.parse(hour.start))
    if (!day) return ''
    return day.sunrise && day.sunset
      ? t('hours.sun.both', { sunrise: times.moment(day.sunrise), sunset: times.moment(day.sunset) })
      : t(`hours.sun.${day.isUpAtStart ? 'up' : 'down'}`)
  }

  return { limit, verdict, told, readings, sun, runs, when: times.hour }
}
