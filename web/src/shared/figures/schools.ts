import { useI18n } from 'vue-i18n'

/** The schools of a question of practice, as they are told. */
export function useSchools() {
  const { t, tm } = useI18n()
  return (question: string) =>
    Object.keys(tm(`choose.question.${question}`))
      .filter((key) => key !== 't')
      .map((school) => ({ value: school, text: t(`choose.question.${question}.${school}`) }))
}
