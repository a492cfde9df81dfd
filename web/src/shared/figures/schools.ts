import { useI18n } from 'vue-i18n'
import { useReader } from '../state/reader'

// Habits of the trade go by round figures of each system, which are not each other's.
const ROUND = {
  us: { inch: '1 in', twoInches: '2 in' },
  metric: { inch: '25 mm', twoInches: '50 mm' },
}

/** The schools of a question of practice, as they are told. */
export function useSchools() {
  const { t, tm } = useI18n()
  const reader = useReader()
  return (question: string) =>
    Object.keys(tm(`choose.question.${question}`))
      .filter((key) => key !== 't')
      .map((school) => ({ value: school, text: t(`choose.question.${question}.${school}`, ROUND[reader.units]) }))
}
