import type { Stage } from '@/shared/state/stages'

const section: Stage = {
  key: 'section',
  routes: [{ path: 'section/:surface', name: 'section', component: () => import('./SectionView.vue'), props: true }],
  to: (job, surface) => (surface ? { name: 'section', params: { job, surface } } : null),
  cell: (cell, figures, { t }) =>
    cell.word === 'thickness' ? `${figures.thickness}, ${figures.foamR}` : t(`board.${cell.word}`),
  foot: (feet, { t }) => t('board.feet.short', { count: feet.shortOfTarget }),
}

export default section
