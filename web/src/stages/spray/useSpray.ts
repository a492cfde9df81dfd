import { useQuery } from '@tanstack/vue-query'
import { v7 } from 'uuid'
import { computed, onScopeDispose, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { api, ask, type Schemas } from '@/shared/api/client'
import { answerHere } from '@/shared/core/browserCore'
import { useBrowserCore } from '@/shared/core/computeSection'
import type { Entry } from '@/shared/keeping/entries'
import { nowMs, useClock } from '@/shared/state/clock'
import { useEdits } from '@/shared/state/edits'
import { useWaiting } from '@/shared/state/waiting'
import { mmOf } from '@/shared/depth/depthPad'
import { historyOf } from './history'

type Answer = Schemas['SprayAnswer']
export type Logged = Schemas['LogEntryDocument']
type Fields = Record<string, string>

const KIND = 'sprayEntry'
// What is said of the whole job holds at its other surfaces too.
const OF_JOB = new Set([
  ...['ventilationOn', 'ventilationOff', 'areaClear', 'areaEntered'],
  ...['drumOpened', 'drumLevel', 'drumEmpty', 'drumsOnTruck'],
  ...['fuelBought', 'jobFinished', 'jobReopened', 'ventilationRead', 'probeChecked', 'accountedFor'],
])

/** The log of a surface with what was entered here and has not been sent yet, and what the core says of it. */
export function useSpray(job: MaybeRefOrGetter<string>, surface: MaybeRefOrGetter<string>) {
  const edits = useEdits()
  const log = useQuery({
    queryKey: ['surface', surface, 'spray'],
    queryFn: () => ask(api.GET('/api/surfaces/{id}/spray', { params: { path: { id: toValue(surface) } } })),
    enabled: computed(() => toValue(surface) !== ''),
    placeholderData: (before, query) => (query?.queryKey[1] === toValue(surface) ? before : undefined),
    // Others are at the same surface.
    refetchInterval: 10_000,
  })
  useBrowserCore(() => toValue(job))

  const { waiting, faults, letGo } = useWaiting(
    KIND,
    (of, fields) => of === toValue(surface) || (isOfJob(fields) && fields.entry?.within === toValue(job)),
  )

  const entries = computed<Logged[]>(() => {
    const told = log.data.value?.question?.entries ?? []
    const known = new Set(told.map(({ id }) => id))
    return [
      ...told,
      ...waiting.value.filter(({ entry }) => !known.has(entry)).map(({ entry, fields }) => asked(entry, fields, told)),
    ]
  })

  // What a tap changes is seen at once; what is calculated of it follows when it has been painted.
  const clock = useClock(15_000)
  const answer = shallowRef<Answer>()
  let later: ReturnType<typeof setTimeout> | undefined
  watch(
    [() => log.data.value, entries, clock],
    () => {
      clearTimeout(later)
      const told = log.data.value
      if (!told || !waiting.value.length) answer.value = told?.answer ?? undefined
      // Where nothing can be calculated here, what was shown stays until the server answers.
      later = setTimeout(() => (answer.value = answered(told, entries.value) ?? answer.value))
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(later))

  function say(fields: Fields) {
    const entry = v7()
    const place = { kind: KIND, id: `${toValue(surface)}/${entry}`, within: toValue(job) }
    void edits.keepApart(place, { entry, ...fields })
    return entry
  }

  /** The lift that is sprayed now, with what was tapped a moment ago. */
  const open = computed(() => {
    const ended = new Set(
      waiting.value.filter(({ fields }) => fields.kind?.text === 'liftEnded').map(({ fields }) => fields.of?.text),
    )
    const gone = new Set(waiting.value.map(({ fields }) => fields.replaces?.text))
    const begun = waiting.value.find(
      ({ entry, fields }) => fields.kind?.text === 'liftBegun' && !ended.has(entry) && !gone.has(entry),
    )
    if (begun) return { id: begun.entry, begunAt: new Date(begun.fields.kind!.at).toISOString() }
    const told = answer.value?.open
    return told && !ended.has(told.id) && !gone.has(told.id) ? { id: told.id, begunAt: told.begunAt } : undefined
  })

  return {
    log,
    answer,
    entries,
    open,
    say,
    waitsFor: (id: string) => waiting.value.some(({ entry }) => entry === id),
    faults,
    letGo,
  }
}

const isOfJob = (fields: Record<string, Entry>) => OF_JOB.has(fields.kind?.text ?? '')

function answered(told: Schemas['SprayOfSurface'] | undefined, entries: Logged[]): Answer | undefined {
  if (!told?.question) return undefined
  const here = answerHere('spray', { ...told.question, entries, now: new Date(nowMs()).toISOString() })
  return here ? (JSON.parse(here) as Answer) : undefined
}

/** An entry that has not been sent, as it is asked of the core. */
function asked(id: string, fields: Record<string, Entry>, told: readonly Logged[]): Logged {
  const text = (field: string) => fields[field]?.text || undefined
  const saidAt = new Date(fields.entry!.at).toISOString()
  // A correction begins with what it corrects; a time and a dip that are typed are read by the server.
  const before = text('replaces') ? historyOf(told).find(({ root }) => root === text('replaces'))?.entry : undefined
  return {
    at: saidAt,
    ...before,
    id,
    kind: text('kind') as Logged['kind'],
    saidAt,
    by: '',
    replaces: text('replaces') ?? null,
    of: text('of') ?? before?.of ?? null,
    depthMm: text('depth') ? mmOf(text('depth')!) : (before?.depthMm ?? null),
    tempC: text('read') ? celsiusOf(text('read')!, fields.read!.units) : (before?.tempC ?? null),
    place: text('place') ?? before?.place ?? null,
    words: text('words') ?? before?.words ?? null,
    reason: (text('reason') as Logged['reason']) ?? before?.reason ?? null,
    item: (text('item') as Logged['item']) ?? before?.item ?? null,
    side: (text('side') as Logged['side']) ?? before?.side ?? null,
    lot: text('lot') ?? before?.lot ?? null,
    drumCount: text('count') ? Number(text('count')) || null : (before?.drumCount ?? null),
    gate: (text('gate') as Logged['gate']) ?? before?.gate ?? null,
  }
}

// Words beside a number are left to the server: until it has read them, nothing is calculated of the reading.
function celsiusOf(text: string, units: Entry['units']) {
  const [, number, unit] = /^(-?\d+(?:\.\d+)?) ?°?([CF])?$/i.exec(text.trim()) ?? []
  if (number === undefined) return null
  const isCelsius = unit ? unit.toUpperCase() === 'C' : units === 'metric'
  return isCelsius ? Number(number) : (Number(number) - 32) / 1.8
}
