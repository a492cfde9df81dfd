import type { Stage } from '@/shared/state/stages'

const spray: Stage = {
  key: 'spray',
  routes: [{ path: 'spray/:surface', name: 'spray', component: () => import('./SprayView.vue'), props: true }],
  to: (job, surface) => (surface ? { name: 'spray', params: { job, surface } } : null),
  cell: (cell, figures, { t }) => t(`cell.spray.${cell.word}`, figures),
  foot: (feet, { t, print }) =>
    feet.setsUsed && feet.setsToGo
      ? t('board.feet.running', {
          count: feet.sprayed,
          used: print(feet.setsUsed),
          left: print(feet.setsToGo),
        })
      : t('board.feet.sprayed', { count: feet.sprayed }),
}

export default spray
