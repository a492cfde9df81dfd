import type { Stage } from '@/shared/state/stages'

const page = (path: string, name: string, component: () => Promise<unknown>) => ({
  path: path ? `survey/${path}` : 'survey',
  name,
  component,
  props: true,
})

const survey: Stage = {
  key: 'survey',
  routes: [
    page('', 'survey', () => import('./SurveyView.vue')),
    page('surface/:surface', 'surfaceSheet', () => import('./sheet/SurfaceSheetView.vue')),
    page('joints', 'joints', () => import('./joints/JointsView.vue')),
    page('complaints', 'complaints', () => import('./complaints/ComplaintsView.vue')),
    page('prepare', 'prepare', () => import('./prepare/PrepareView.vue')),
    page('baseline', 'baseline', () => import('./baseline/BaselineView.vue')),
    page('exchange', 'exchange', () => import('./exchange/ExchangeView.vue')),
  ],
  to: (job, surface) => ({ name: 'survey', params: { job }, query: surface ? { at: surface } : undefined }),
  cell: (cell, figures, { t }) => (cell.word === 'area' ? (figures.area ?? '') : t(`cell.${cell.word}`, figures)),
  foot: (feet, { print }) => print(feet.area),
}

export default survey
