import { createRouter, createWebHistory } from 'vue-router';
import { useSession } from './stores/session.ts';

/** Stations in the order of work; each is loaded when it is first opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'welcome', component: () => import('./stations/airframes/WelcomePage.vue') },
    {
      path: '/airframes',
      name: 'airframes',
      component: () => import('./stations/airframes/AirframesPage.vue'),
      meta: { needsSession: true },
    },
    {
      path: '/airframes/:id',
      component: () => import('./frame/AirframeFrame.vue'),
      meta: { needsSession: true },
      children: [
        { path: '', redirect: (to) => ({ name: 'parts', params: to.params }) },
        { path: 'plan', name: 'plan', component: () => import('./stations/plan/PlanStation.vue') },
        { path: 'stock', name: 'stock', component: () => import('./stations/stock/StockStation.vue') },
        { path: 'parts/:partId?', name: 'parts', component: () => import('./stations/parts/PartsStation.vue') },
        { path: 'forms', name: 'forms', component: () => import('./stations/forms/FormsStation.vue') },
        { path: 'bring-in', name: 'bring-in', component: () => import('./stations/bring-in/BringInStation.vue') },
        { path: 'scale', name: 'scale', component: () => import('./stations/scale/ScaleStation.vue') },
        { path: 'pages', name: 'pages', component: () => import('./stations/pages/PagesStation.vue') },
        { path: 'boards', name: 'boards', component: () => import('./stations/boards/BoardsStation.vue') },
        { path: 'cut-list', name: 'cut-list', component: () => import('./stations/cut-list/CutListStation.vue') },
        { path: 'versions', name: 'versions', component: () => import('./stations/versions/VersionsStation.vue') },
      ],
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});

router.beforeEach(async (to) => {
  const session = useSession();
  if (!session.isKnown) await session.refresh().catch(() => undefined); // without a server the pages still open and say so
  if (to.meta.needsSession && session.isKnown && !session.me) return { name: 'welcome', query: { next: to.fullPath } };
  return true;
});

/**
 * Fetches the pages that may come next while nothing else is asked of the browser, one a pause: the first page stays small, and what is
 * opened from it does not wait for the network. A page that could not be fetched is fetched when it is opened.
 */
const whenIdle = window.requestIdleCallback ?? ((act: () => void) => setTimeout(act, 200));
function fetchAhead(): void {
  const waiting = router
    .getRoutes()
    .flatMap(({ components }) => Object.values(components ?? {}))
    .filter((component): component is () => Promise<unknown> => typeof component === 'function');
  const next = (): void => {
    const fetch = waiting.shift();
    if (fetch)
      whenIdle(
        () =>
          void fetch()
            .catch(() => undefined)
            .then(next),
      );
  };
  next();
}
void router.isReady().then(fetchAhead);
