import type { Stage } from '@/shared/state/stages'

const page = (path: string, name: string, component: () => Promise<unknown>) => ({
  path: path ? `prove/:surface/${path}` : 'prove/:surface',
  name,
  component,
  props: true,
})

const prove: Stage = {
  key: 'prove',
  routes: [
    page('', 'prove', () => import('./depth/DepthView.vue')),
    page('defects', 'proveDefects', () => import('./defects/DefectsView.vue')),
    page('inspection', 'proveInspection', () => import('./inspection/InspectionView.vue')),
    page('tightness', 'proveTightness', () => import('./tightness/TightnessView.vue')),
    page('re-entry', 'proveReEntry', () => import('./reentry/ReEntryView.vue')),
  ],
  to: (job, surface) => (surface ? { name: 'prove', params: { job, surface } } : null),
  cell: (cell, figures, { t }) => t(`cell.prove.${cell.word}`, figures),
  foot: (feet, { t }) => t('board.feet.covered', { count: feet.covered }),
}

export default prove
