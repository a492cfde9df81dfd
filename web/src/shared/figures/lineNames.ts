import { useI18n } from 'vue-i18n'
import { ownName } from '@/i18n/ownMaterial'
import type { Schemas } from '@/shared/api/client'
import { lineKey } from '@/shared/state/price'

type Line = Pick<Schemas['BidLineAnswer'], 'key' | 'name'>

/** Lines of a bid in words. */
export function useLineNames() {
  const { t, te } = useI18n()
  const named = (name: string) => (te(`material.${name}`) ? t(`material.${name}`) : (ownName(name) ?? name))
  return {
    named,
    line: (line: Line) => (line.name ? named(line.name) : t(`price.line.${lineKey(line)}`)),
  }
}
