import { useI18n } from 'vue-i18n'

const BOOKS = ['unsent.field', 'survey.col', 'survey.field', 'jobs.form', 'places.form', 'window.field', 'choose.fact']

/** What a field is called on the pages it is typed on. */
export function useFieldNames() {
  const { t, te } = useI18n()
  return (field: string) => {
    const name = field.slice(field.indexOf('.') + 1)
    const book = BOOKS.find((key) => te(`${key}.${name}`))
    return book ? t(`${book}.${name}`) : name
  }
}
