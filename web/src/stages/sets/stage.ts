import type { Stage } from '@/shared/state/stages'
import SetsFoot from './SetsFoot.vue'

const sets: Stage = {
  key: 'sets',
  routes: [
    { path: 'price', name: 'price', component: () => import('./PriceView.vue'), props: true },
    { path: 'order', name: 'order', component: () => import('./OrderView.vue'), props: true },
    { path: 'sets/:surface', name: 'sets', component: () => import('./SetsView.vue'), props: true },
  ],
  to: (job, surface) => (surface ? { name: 'sets', params: { job, surface } } : null),
  cell: (_, figures) => figures.sets ?? '',
  foot: { is: SetsFoot },
}

export default sets
