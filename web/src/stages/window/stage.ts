import type { Stage } from '@/shared/state/stages'
import NextWindow from './NextWindow.vue'

const window: Stage = {
  key: 'window',
  routes: [{ path: 'window/:surface', name: 'window', component: () => import('./WindowView.vue'), props: true }],
  to: (job, surface) => (surface ? { name: 'window', params: { job, surface } } : null),
  cell: (cell, figures, { t }) => t(cell.word === 'now' ? 'board.now' : `cell.${cell.word}`, figures),
  more: NextWindow,
  foot: (feet, { t }) => t('board.feet.may', { count: feet.mayBeSprayedNow }),
}

export default window
