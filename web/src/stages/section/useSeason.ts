import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '@/shared/api/client'
import { coreReady } from '@/shared/core/browserCore'
import { sectionAsked, sectionAtOnce } from '@/shared/core/computeSection'

type Answer = Schemas['SectionAnswer']
type Question = Schemas['SectionQuestion']

/** Where the season stands: winter design, a month, summer design. */
export const WINTER = 0
export const SUMMER = 13

/** What was judged at winter design, drawn between other air. */
export function between(judged: Answer, now: Answer): Answer {
  const { indoorC, outdoorC, indoorDew, drive } = now.figures
  const figures = { ...judged.figures, indoorC: indoorC!, outdoorC: outdoorC!, indoorDew: indoorDew!, drive: drive! }
  return { ...judged, figures, profile: now.profile, nearestDew: now.nearestDew, outwardDrivePa: now.outwardDrivePa }
}

/**
 * The section in another season: the same layers between other air. Temperatures, dew points and the drive of vapour follow;
 * all that is judged stays with winter design and the year.
 */
export function useSeason(
  job: () => string,
  question: Ref<Question | null>,
  thicknessMm: Ref<number>,
  answer: Ref<Answer | null>,
  summer: () => Schemas['AirShape'] | undefined,
  surface: () => string,
) {
  const season = ref(WINTER)
  const other = ref<Answer | null>(null)

  const airOf = (at: number, asked: Question) => {
    if (at === SUMMER) return summer()
    const { year } = asked
    return year
      ? {
          indoorC: year.indoorTempC[at - 1]!,
          indoorRhPct: year.indoorRhPct[at - 1]!,
          outdoorC: year.outdoorTempC[at - 1]!,
          outdoorRhPct: year.outdoorRhPct[at - 1]!,
        }
      : undefined
  }
  const asked = computed<Question | null>(() => {
    const base = question.value
    const air = base && season.value !== WINTER ? airOf(season.value, base) : undefined
    return base && air
      ? { ...base, ...air, thicknessMm: base.sheetId ? thicknessMm.value : base.thicknessMm, year: null, brief: true }
      : null
  })

  watch(
    [asked, coreReady],
    async ([wanted]) => {
      if (!wanted) return (other.value = null)
      const computed = sectionAtOnce(wanted) ?? (await sectionAsked(wanted, job()).catch(() => null))
      if (asked.value === wanted) other.value = computed
    },
    { immediate: true },
  )
  // Another surface starts again in winter.
  watch(surface, () => (season.value = WINTER))

  const drawn = computed<Answer | null>(() => {
    const [year, now] = [answer.value, season.value === WINTER ? null : other.value]
    return year && now ? between(year, now) : year
  })
  /** Air of the season on both sides; nothing in winter, which is the question's own. */
  const air = computed(() =>
    question.value && season.value !== WINTER ? (airOf(season.value, question.value) ?? null) : null,
  )

  const hasMonths = computed(() => !!question.value?.year)
  const offered = computed(() => question.value?.exposure === 'outdoors' || question.value?.exposure === 'ventilated')
  return { season, air, drawn, hasMonths, offered }
}
