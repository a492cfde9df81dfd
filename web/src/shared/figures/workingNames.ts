import { useI18n } from 'vue-i18n'
import { ownName } from '@/i18n/ownMaterial'

/** Names of what a working computes; a detail after the colon is a material, a part of a size or a factor. */
export function useWorkingNames() {
  const { t, te } = useI18n()

  function name(key: string) {
    const [, head, detail] = /^([^:]*):?(.*)$/s.exec(key) as unknown as [string, string, string]
    if (!te(`workings.name.${head}`)) return head
    return t(`workings.name.${head}`, { detail: detail ? words(head, detail) : '' })
  }

  const books: Record<string, string> = {
    layer: 'material',
    materialCost: 'material',
    monthCondensed: 'month',
    size: 'part',
    weight: 'choose.part',
    score: 'choose.part',
  }

  function words(head: string, detail: string) {
    const book = books[head]
    const word = book === 'choose.part' ? detail.toLowerCase() : detail
    return book && te(`${book}.${word}`) ? t(`${book}.${word}`) : (ownName(detail) ?? detail)
  }

  return { name }
}
