import { createRouter, createWebHistory } from 'vue-router'
import { laterWords } from './i18n'
import { cardNames } from './pocket/cards'
import { whenIdle } from './shared/idle'
import { useSession } from './shared/state/session'
import { stageRoutes } from './stages'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'signIn', component: () => import('./signin/SignInView.vue'), meta: { open: true } },
    { path: '/link', name: 'link', component: () => import('./signin/LinkView.vue'), meta: { open: true } },
    { path: '/', name: 'jobs', component: () => import('./jobs/JobsView.vue') },
    { path: '/pocket', redirect: { name: 'pocket.dew' } },
    ...cardNames.map((card) => ({
      path: `/pocket/${card}`,
      name: `pocket.${card}`,
      component: () => import('./pocket/PocketView.vue'),
      props: { card },
    })),
    { path: '/firm', name: 'firm', component: () => import('./firm/FirmView.vue') },
    { path: '/means', name: 'means', component: () => import('./means/MeansView.vue') },
    { path: '/sequences', name: 'sequences', component: () => import('./sequences/SequencesView.vue') },
    {
      path: '/sequences/:run',
      name: 'sequenceRun',
      component: () => import('./sequences/RunView.vue'),
      props: ({ params, query }) => ({ run: params.run, surface: query.surface }),
    },
    { path: '/past-jobs', name: 'pastJobs', component: () => import('./pastjobs/PastJobsView.vue') },
    { path: '/stock', name: 'stock', component: () => import('./stock/StockView.vue') },
    { path: '/places', name: 'places', component: () => import('./places/PlacesView.vue') },
    { path: '/people', name: 'people', component: () => import('./people/PeopleView.vue') },
    { path: '/your-sign-in', name: 'ownAccess', component: () => import('./signin/OwnAccessView.vue') },
    { path: '/sheets', name: 'sheets', component: () => import('./sheets/SheetsView.vue') },
    {
      path: '/sheets/new',
      name: 'sheetNew',
      component: () => import('./sheets/SheetFormView.vue'),
      props: ({ query }) => ({ from: query.from }),
    },
    { path: '/sheets/:sheet', name: 'sheet', component: () => import('./sheets/SheetView.vue'), props: true },
    {
      path: '/sheets/:sheet/edit',
      name: 'sheetEdit',
      component: () => import('./sheets/SheetFormView.vue'),
      props: true,
    },
    { path: '/materials', name: 'materials', component: () => import('./materials/MaterialsView.vue') },
    { path: '/templates', name: 'templates', component: () => import('./templates/TemplatesView.vue') },
    { path: '/target-sets', name: 'targets', component: () => import('./targets/TargetSetsView.vue') },
    {
      path: '/jobs/:job',
      component: () => import('./jobs/JobFrame.vue'),
      props: true,
      children: [
        { path: '', name: 'board', component: () => import('./jobs/BoardView.vue'), props: true },
        ...stageRoutes,
      ],
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./shared/ui/NowhereView.vue') },
  ],
})

const signInFor = (to: string) => ({ name: 'signIn', query: { to } })

// Whoever starts here waits for no other page's words. Elsewhere they come while the rest of the page does.
const STARTS: unknown[] = ['signIn', 'jobs', 'board']
const wordsFor = async (page: unknown) => (STARTS.includes(page) ? undefined : laterWords())
router.beforeEach((to) => void wordsFor(to.name).catch(() => undefined))
router.beforeResolve((to) => wordsFor(to.name))

router.beforeEach(async (to) => {
  const session = useSession()
  if (to.meta.open) return true
  try {
    if (!session.person && !(await session.find())) return signInFor(to.fullPath)
    const task = session.person?.task && to.name !== 'ownAccess'
    return task ? { name: 'ownAccess', query: { to: to.fullPath } } : true
  } catch {
    // The server does not answer: the screen itself says so, offers to try again, and goes on by itself.
    void session.findInTheEnd().then((found) => {
      if (!found) void router.replace(signInFor(to.fullPath))
    })
    return true
  }
})

// What a page opens that is not part of its first load.
const FORMS = [() => import('./jobs/JobForm.vue')]

/** Fetches the code of every page, one after another, once the first one stands: a page opens without a connection too, also one that
 * nobody has been to. What cannot be fetched now is fetched when it is opened. */
export async function fetchPages() {
  await laterWords().catch(() => undefined)
  const pages = router.getRoutes().map((route) => route.components?.default as unknown)
  for (const part of [...pages, ...FORMS]) {
    if (typeof part !== 'function') continue
    await whenIdle()
    await (part as () => Promise<unknown>)().catch(() => undefined)
  }
}
