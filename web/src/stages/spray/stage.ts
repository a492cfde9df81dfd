import type { Stage } from '@/shared/state/stages'

const spray: Stage = {
  key: 'spray',
  routes: [{ path: 'spray/:surface', name: 'spray', component: () => import('./SprayView.vue'), props: true }],
  to: (job, surface) => (surface ? { name: 'spray', params: { job, surface } } : null),
  cell: (cell, figures, { t }) => t(`cell.spray.${cell.word}`, figures),
  foot: (feet, { t }) => t('board.feet.sprayed', { count: feet.sprayed }),
}

export default spray
