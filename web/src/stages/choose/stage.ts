import type { Stage } from '@/shared/state/stages'

const choose: Stage = {
  key: 'choose',
  routes: [
    { path: 'choose', name: 'choices', component: () => import('./JobChoicesView.vue'), props: true },
    { path: 'choose/:surface', name: 'choose', component: () => import('./ChooseView.vue'), props: true },
  ],
  to: (job, surface) => (surface ? { name: 'choose', params: { job, surface } } : null),
  cell: (cell, _, { t }) => t(cell.word.includes('.') ? cell.word : `system.${cell.word}`),
  none: ({ t }) => t('system.none'),
  unmarked: true,
  foot: (feet, { t }) => t('board.feet.toChoose', { count: feet.toChoose }),
}

export default choose
