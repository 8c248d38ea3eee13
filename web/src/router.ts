import { createRouter, createWebHistory, type Router } from 'vue-router';
import { useSession } from './shared/session/sessionStore.ts';

declare module 'vue-router' {
  interface RouteMeta {
    /** Open to people who are not signed in. */
    open?: boolean;
    leadOnly?: boolean;
    title?: string;
  }
}

/** Pages by task; each is loaded when first opened. */
export function createAppRouter(): Router {
  const router = createRouter({
    history: createWebHistory(),
    routes: [
      { path: '/', redirect: '/jobs' },
      {
        path: '/sign-in',
        component: () => import('./signin/SignInPage.vue'),
        meta: { open: true, title: 'Sign in' },
      },
      {
        path: '/link/:token',
        component: () => import('./signin/LinkPage.vue'),
        props: true,
        meta: { open: true, title: 'Welcome' },
      },
      { path: '/jobs', component: () => import('./jobs/JobsPage.vue'), meta: { title: 'Jobs' } },
      {
        path: '/jobs/:id',
        component: () => import('./jobs/JobPage.vue'),
        props: true,
        children: [
          { path: '', redirect: (to) => `/jobs/${String(to.params['id'])}/survey` },
          {
            path: 'survey',
            component: () => import('./survey/SurveyStation.vue'),
            meta: { title: 'Survey' },
          },
          {
            path: 'program/:view(plan|cabinet|compare)?',
            component: () => import('./program/ProgramStation.vue'),
            props: true,
            meta: { title: 'Program' },
          },
          {
            path: 'handover',
            component: () => import('./handover/HandoverStation.vue'),
            meta: { title: 'Hand over' },
          },
        ],
      },
      { path: '/units', component: () => import('./units/UnitsPage.vue'), meta: { title: 'Units' } },
      {
        path: '/controls/:hash?',
        component: () => import('./controls/ControlsPage.vue'),
        props: true,
        meta: { title: 'Controls' },
      },
      {
        path: '/people',
        component: () => import('./people/PeoplePage.vue'),
        meta: { leadOnly: true, title: 'Company' },
      },
      { path: '/waiting', component: () => import('./outbox/WaitingPage.vue'), meta: { title: 'Waiting' } },
      {
        path: '/:rest(.*)*',
        component: () => import('./shared/layout/NotFoundPage.vue'),
        meta: { open: true, title: 'Not found' },
      },
    ],
  });
  let restored: Promise<void> | null = null;
  router.beforeEach(async (to) => {
    const session = useSession();
    restored ??= session.restore();
    await restored;
    if (to.meta.open) return true;
    if (!session.person) return { path: '/sign-in', query: { to: to.fullPath } };
    if (to.meta.leadOnly && !session.isLead) return { path: '/jobs' };
    return true;
  });
  router.afterEach((to) => {
    document.title = to.meta.title ? `${to.meta.title} · Brine Dial` : 'Brine Dial';
  });
  return router;
}
