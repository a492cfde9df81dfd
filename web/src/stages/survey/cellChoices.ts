import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChoices } from '@/shared/state/job'
import type { Choice } from '@/shared/ui/PickOne.vue'

const SHAPES = ['rectangle', 'gable', 'roofPlane', 'band', 'bays', 'box', 'outline']

/** What can be picked in the columns of surfaces that are not typed, by the column: in the grid and in the lines of a file. */
export function useCellChoices() {
  const { t } = useI18n()
  const offered = useChoices()
  const named = (column: string, values: readonly string[]): readonly Choice[] =>
    values.map((value) => ({ value, text: t(`${column}.${value}`) }))
  return computed<Partial<Record<string, readonly Choice[]>>>(() => ({
    kind: named('kind', offered.data.value?.kinds.map((one) => one.kind) ?? []),
    shape: named('shape', SHAPES),
  }))
}
