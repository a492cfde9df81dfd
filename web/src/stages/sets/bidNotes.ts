import { useWriting } from '@/i18n/writing'
import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useLineNames } from '@/shared/figures/lineNames'

/** What must be read with a bid: surfaces that no way allows on the day, and prices that are missing or nought. */
export function useBidNotes(answer: Ref<Schemas['JobPriceAnswer'] | null>) {
  const { t } = useI18n()
  const { listed } = useWriting()
  const names = useLineNames()
  const named = (key: string, list: readonly string[] | undefined) =>
    list?.length ? t(key, { names: listed(list.map(names.named)) }) : ''
  return {
    held: computed(() =>
      named(
        'price.heldSurfaces',
        answer.value?.surfaces.filter((s) => s.allHeld).map((s) => s.name),
      ),
    ),
    missing: computed(() => named('price.missing', answer.value?.bid.missing)),
    free: computed(() => named('price.free', answer.value?.bid.free)),
  }
}
