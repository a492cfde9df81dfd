import { useWriting } from '@/i18n/writing'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'

type Layer = Schemas['CandidateLayer']

/** Names and layers of systems in words. */
export function useCandidateText() {
  const { t } = useI18n()
  const { listed } = useWriting()
  const reader = useReader()

  // A coat is a film: its thickness in inches says nothing.
  const isFilm = (layer: Layer) => layer.thickness.amount < 0.002
  const name = (layer: Layer) => (layer.foam ? layer.name : t(`material.${layer.name}`))

  const layer = (layer: Layer) =>
    isFilm(layer) ? name(layer) : t('writing.layer', { name: name(layer), thickness: reader.print(layer.thickness) })

  return {
    kind: (kind: string) => t(`candidate.${kind}`),
    layer,
    layers: (layers: readonly Layer[], boards: readonly Layer[] = []) =>
      listed([...layers, ...boards].map(layer), 'plus'),
  }
}
