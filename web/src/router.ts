import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from './shared/state/session'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'signIn', component: () => import('./signin/SignInView.vue'), meta: { open: true } },
    { path: '/', name: 'jobs', component: () => import('./jobs/JobsView.vue') },
    { path: '/firm', name: 'firm', component: () => import('./firm/FirmView.vue') },
    { path: '/past-jobs', name: 'pastJobs', component: () => import('./pastjobs/PastJobsView.vue') },
    { path: '/stock', name: 'stock', component: () => import('./stock/StockView.vue') },
    { path: '/places', name: 'places', component: () => import('./places/PlacesView.vue') },
    { path: '/target-sets', name: 'targets', component: () => import('./targets/TargetSetsView.vue') },
    {
      path: '/jobs/:job',
      component: () => import('./jobs/JobFrame.vue'),
      props: true,
      children: [
        { path: '', name: 'board', component: () => import('./jobs/BoardView.vue'), props: true },
        { path: 'survey', name: 'survey', component: () => import('./stages/survey/SurveyView.vue'), props: true },
        {
          path: 'survey/surface/:surface',
          name: 'surfaceSheet',
          component: () => import('./stages/survey/sheet/SurfaceSheetView.vue'),
          props: true,
        },
        {
          path: 'survey/joints',
          name: 'joints',
          component: () => import('./stages/survey/joints/JointsView.vue'),
          props: true,
        },
        {
          path: 'survey/complaints',
          name: 'complaints',
          component: () => import('./stages/survey/complaints/ComplaintsView.vue'),
          props: true,
        },
        {
          path: 'survey/prepare',
          name: 'prepare',
          component: () => import('./stages/survey/prepare/PrepareView.vue'),
          props: true,
        },
        {
          path: 'survey/baseline',
          name: 'baseline',
          component: () => import('./stages/survey/baseline/BaselineView.vue'),
          props: true,
        },
        {
          path: 'survey/exchange',
          name: 'exchange',
          component: () => import('./stages/survey/exchange/ExchangeView.vue'),
          props: true,
        },
        { path: 'choose', name: 'choices', component: () => import('./stages/choose/JobChoicesView.vue'), props: true },
        {
          path: 'choose/:surface',
          name: 'choose',
          component: () => import('./stages/choose/ChooseView.vue'),
          props: true,
        },
        {
          path: 'section/:surface',
          name: 'section',
          component: () => import('./stages/section/SectionView.vue'),
          props: true,
        },
        { path: 'price', name: 'price', component: () => import('./stages/sets/PriceView.vue'), props: true },
        { path: 'order', name: 'order', component: () => import('./stages/sets/OrderView.vue'), props: true },
        { path: 'sets/:surface', name: 'sets', component: () => import('./stages/sets/SetsView.vue'), props: true },
        {
          path: 'window/:surface',
          name: 'window',
          component: () => import('./stages/window/WindowView.vue'),
          props: true,
        },
      ],
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./shared/ui/NowhereView.vue') },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (to.meta.open || session.person) return true
  try {
    return (await session.find()) ? true : { name: 'signIn', query: { to: to.fullPath } }
  } catch {
    // The server does not answer: the screen itself says so and offers to try again.
    return true
  }
})
