import { useI18n } from 'vue-i18n'
import type { MaybeRefOrGetter } from 'vue'
import { useBoard } from './job'

/** Instants as they read where the job is; by the device's own zone where that is not known. */
export function useTimes(job: MaybeRefOrGetter<string>) {
  const board = useBoard(job)
  return useTimesIn(() => board.data.value?.job.timeZone)
}

/** Instants as they read in a zone; by the device's own where none is known. */
export function useTimesIn(known: () => string | null | undefined) {
  const { d } = useI18n()
  const zone = () => known() ?? undefined
  const at = (instant: string | Date) => (typeof instant === 'string' ? new Date(instant) : instant)

  return {
    zone,
    day: (instant: string | Date) => d(at(instant), { dateStyle: 'medium', timeZone: zone() }),
    /** The day of the calendar, as 2026-11-23. */
    date: (instant: string | Date) => isoDay(at(instant), zone()),
    /** An instant as if the clock of the place were set to universal time: for charts that know no zones. */
    wallMs: (ms: number) => wallMs(ms, zone()),
    /** An hour of these days: Tue 10:00. */
    hour: (instant: string | Date) =>
      d(at(instant), { weekday: 'short', hour: 'numeric', minute: '2-digit', timeZone: zone() }),
    /** The same where room is short: Tue 10 AM. */
    brief: (instant: string | Date) => d(at(instant), { weekday: 'short', hour: 'numeric', timeZone: zone() }),
    /** The hour of the day alone. */
    clock: (instant: string | Date) => d(at(instant), { hour: 'numeric', timeZone: zone() }),
    /** The time of the day alone, to the minute. */
    moment: (instant: string | Date) => d(at(instant), { hour: 'numeric', minute: '2-digit', timeZone: zone() }),
    /** The same as it is typed: 13:05. */
    moment24: (instant: string | Date) => new Date(wallMs(at(instant).getTime(), zone())).toISOString().slice(11, 16),
    /** The day of these days alone: Tue 24. */
    weekday: (instant: string | Date) => d(at(instant), { weekday: 'short', day: 'numeric', timeZone: zone() }),
    /** The same with its month: Tue, Nov 24. */
    dayOfMonth: (instant: string | Date) =>
      d(at(instant), { weekday: 'short', month: 'short', day: 'numeric', timeZone: zone() }),
    time: (instant: string | Date) => d(at(instant), { dateStyle: 'medium', timeStyle: 'short', timeZone: zone() }),
  }
}

const isoDay = (at: Date, zone?: string) => new Date(wallMs(at.getTime(), zone)).toISOString().slice(0, 10)

const clocks = new Map<string, Intl.DateTimeFormat>()

function wallMs(ms: number, timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone) {
  let clock = clocks.get(timeZone)
  if (!clock) {
    const numeric = {
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    } as const
    clock = new Intl.DateTimeFormat('en-US', { ...numeric, hourCycle: 'h23', timeZone })
    clocks.set(timeZone, clock)
  }
  const parts = Object.fromEntries(clock.formatToParts(ms).map((part) => [part.type, Number(part.value)]))
  return Date.UTC(parts.year!, parts.month! - 1, parts.day, parts.hour, parts.minute, parts.second)
}

// A day whose number cannot be taken for a month.
const EXAMPLE = '2026-11-23'

const isDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text)

/** A calendar day, which is the same everywhere, as the reader writes it; what is none stays as it is. */
export function useDays() {
  const { d } = useI18n()
  return (iso: string | null | undefined) =>
    iso && isDay(iso) ? d(new Date(`${iso}T12:00:00Z`), { dateStyle: 'medium', timeZone: 'UTC' }) : (iso ?? '')
}

/** A time of day kept as 07:30, as the reader writes it. */
export function useHours() {
  const { d } = useI18n()
  return (time: string) => d(new Date(`${EXAMPLE}T${time}:00Z`), { timeStyle: 'short', timeZone: 'UTC' })
}

/** How a day may be written, for fields that take one. */
export function useExampleDay() {
  const written = useDays()
  return written(EXAMPLE)
}
