import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'

const BOOKS = [
  (name: string) => `unsent.field.${name.replace(/^(edition|skip):.*/, '$1')}`,
  (name: string) => `survey.col.${name}`,
  (name: string) => `survey.field.${name}`,
  (name: string) => `jobs.form.${name}`,
  (name: string) => `places.form.${name}`,
  (name: string) => `window.field.${name}`,
  (name: string) => `choose.fact.${name}`,
  (name: string) => `firm.rate.${name}`,
  (name: string) => `means.entry.${name}`,
  (name: string) => `firm.margin.${name.replace('margin:', '')}`,
  (name: string) => `material.${name.replace('material:', '')}`,
  (name: string) => `choose.question.${name.replace(/^practice(.)/, (_, first: string) => first.toLowerCase())}.t`,
]

/** What a field is called on the pages it is typed on. */
export function useFieldNames() {
  const { t, te } = useI18n()
  const { listed } = useWriting()
  return (field: string) => {
    const name = field.slice(field.indexOf('.') + 1)
    const [, material, figure] = /^material-value:(.+):(\w+)$/.exec(name) ?? []
    if (material) return listed([t(`material.${material}`), t(`materials.figure.${figure}`)])
    const key = BOOKS.map((keyOf) => keyOf(name)).find((one) => te(one))
    return key ? t(key) : name
  }
}
