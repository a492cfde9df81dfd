import type { Stage } from '@/shared/state/stages'

const rig: Stage = {
  key: 'rig',
  routes: [{ path: 'rig/:surface', name: 'rig', component: () => import('./RigView.vue'), props: true }],
  to: (job, surface) => (surface ? { name: 'rig', params: { job, surface } } : null),
  cell: (cell, figures, { t }) => t(`cell.${cell.word}`, figures),
  foot: (feet, { t }) => t('board.feet.shot', { count: feet.shotStands }),
}

export default rig
