import { useI18n } from 'vue-i18n'

/** Names of what a working computes; a detail after the colon is a material, a part of a size or a factor. */
export function useWorkingNames() {
  const { t, te } = useI18n()

  function name(key: string) {
    const [head, detail] = key.split(':') as [string, string | undefined]
    if (!te(`workings.name.${head}`)) return head
    return t(`workings.name.${head}`, { detail: detail ? words(head, detail) : '' })
  }

  function words(head: string, detail: string) {
    const book = head === 'layer' ? 'material' : head === 'size' ? 'part' : ''
    return book && te(`${book}.${detail}`) ? t(`${book}.${detail}`) : detail
  }

  return { name }
}
