import { mount } from './shared/mount/mount.ts';
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

/** Every page, loaded when first opened; or ahead of time by {@link loadPages}. */
const pages = {
  signInPage: () => import('./signin/SignInPage.vue'),
  linkPage: () => import('./signin/LinkPage.vue'),
  todayPage: () => import('./today/TodayPage.vue'),
  jobsPage: () => import('./jobs/JobsPage.vue'),
  jobStart: () => import('./jobs/JobStart.vue'),
  jobPage: () => import('./jobs/JobPage.vue'),
  surveyStation: () => import('./survey/SurveyStation.vue'),
  fitStation: () => import('./fit/FitStation.vue'),
  wireStation: () => import('./wire/WireStation.vue'),
  programStation: () => import('./program/ProgramStation.vue'),
  complaintPage: () => import('./complaint/ComplaintPage.vue'),
  proveStation: () => import('./prove/ProveStation.vue'),
  handoverStation: () => import('./handover/HandoverStation.vue'),
  unitPage: () => import('./units/UnitPage.vue'),
  benchPage: () => import('./bench/BenchPage.vue'),
  sharedUnitPage: () => import('./shared/layout/SharedUnitPage.vue'),
  unitsPage: () => import('./units/UnitsPage.vue'),
  besidePage: () => import('./units/beside/BesidePage.vue'),
  reviewPage: () => import('./units/ReviewPage.vue'),
  controlsPage: () => import('./controls/ControlsPage.vue'),
  writePage: () => import('./writing/WritePage.vue'),
  practicePage: () => import('./practice/PracticePage.vue'),
  auditPage: () => import('./audit/AuditPage.vue'),
  peoplePage: () => import('./people/PeoplePage.vue'),
  accountPage: () => import('./signin/AccountPage.vue'),
  workPage: () => import('./work/WorkPage.vue'),
  waitingPage: () => import('./outbox/WaitingPage.vue'),
  notFoundPage: () => import('./shared/layout/NotFoundPage.vue'),
};

/** Loads the pages not opened yet, so that a station can be opened while the server is away. */
export async function loadPages(): Promise<void> {
  // A page that cannot be loaded now is asked for again when it is opened.
  await Promise.allSettled(Object.values(pages).map((load) => load()));
  await (await import('./program/views.ts')).loadViews();
}

/** The page that is opened first is loaded while it is still asked who is signed in: on a slow line one waits for both. */
function loadAhead(router: Router): void {
  const { pathname, search } = location;
  for (const { components } of router.resolve(pathname.slice(mount.length) + search).matched) {
    const load = components?.['default'];
    // What cannot be loaded now is asked for again by the router, which tells of it.
    if (typeof load === 'function') void (load as () => Promise<unknown>)().catch(() => undefined);
  }
}

/** Pages by task. */
export function createAppRouter(): Router {
  const router = createRouter({
    history: createWebHistory(mount || undefined),
    routes: [
      { path: '/', redirect: '/today' },
      { path: '/today', component: pages.todayPage, meta: { title: 'Today' } },
      {
        path: '/sign-in',
        component: pages.signInPage,
        meta: { open: true, title: 'Sign in' },
      },
      {
        path: '/link/:token',
        component: pages.linkPage,
        props: true,
        meta: { open: true, title: 'Welcome' },
      },
      { path: '/jobs', component: pages.jobsPage, meta: { title: 'Jobs' } },
      {
        path: '/jobs/:id',
        component: pages.jobPage,
        props: true,
        children: [
          { path: '', component: pages.jobStart },
          {
            path: 'survey',
            component: pages.surveyStation,
            meta: { title: 'Survey' },
          },
          {
            path: 'fit',
            component: pages.fitStation,
            meta: { title: 'Fit' },
          },
          {
            path: 'wire/:view(found|diagram|list|meter|kit)?',
            component: pages.wireStation,
            props: true,
            meta: { title: 'Wire' },
          },
          {
            path: 'program/:view(plan|fans|tools|forecast|tune|cabinet|compare|like)?',
            component: pages.programStation,
            props: true,
            meta: { title: 'Program' },
          },
          {
            path: 'complaint',
            component: pages.complaintPage,
            meta: { title: 'Complaint' },
          },
          {
            path: 'prove/:view(run|trip|probes|log|follow)?',
            component: pages.proveStation,
            props: true,
            meta: { title: 'Prove' },
          },
          {
            path: 'handover',
            component: pages.handoverStation,
            meta: { title: 'Hand over' },
          },
        ],
      },
      { path: '/units', component: pages.unitsPage, meta: { title: 'Units' } },
      {
        path: '/u/:token',
        component: pages.sharedUnitPage,
        props: true,
        meta: { open: true, title: 'Unit' },
      },
      { path: '/bench', component: pages.benchPage, meta: { title: 'Bench' } },
      { path: '/units/review', component: pages.reviewPage, meta: { title: 'Review' } },
      {
        path: '/units/:id/beside',
        component: pages.besidePage,
        props: true,
        meta: { title: 'Side by side' },
      },
      { path: '/units/:id', component: pages.unitPage, props: true, meta: { title: 'Unit' } },
      {
        path: '/controls/write/:from?',
        component: pages.writePage,
        props: true,
        meta: { title: 'Add a controller' },
      },
      {
        path: '/controls/:hash?',
        component: pages.controlsPage,
        props: true,
        meta: { title: 'Controls' },
      },
      {
        path: '/practice/:hash?',
        component: pages.practicePage,
        props: true,
        meta: { title: 'Practice' },
      },
      {
        path: '/people',
        component: pages.peoplePage,
        meta: { leadOnly: true, title: 'Company' },
      },
      { path: '/audit', component: pages.auditPage, meta: { leadOnly: true, title: 'Sign-ins and changes' } },
      { path: '/account', component: pages.accountPage, meta: { title: 'Your account' } },
      { path: '/work', component: pages.workPage, meta: { title: 'Work under way' } },
      { path: '/waiting', component: pages.waitingPage, meta: { open: true, title: 'Waiting' } },
      {
        path: '/:rest(.*)*',
        component: pages.notFoundPage,
        meta: { open: true, title: 'Not found' },
      },
    ],
  });
  loadAhead(router);
  let restored: Promise<void> | null = null;
  router.beforeEach(async (to) => {
    const session = useSession();
    restored ??= session.restore();
    await restored;
    if (to.meta.open) return true;
    if (!session.person) return { path: '/sign-in', query: { to: to.fullPath } };
    // The server answers nothing else before.
    if (session.person.needsSecond && to.path !== '/account') return { path: '/account' };
    if (to.meta.leadOnly && !session.isLead) return { path: '/today' };
    return true;
  });
  router.afterEach((to) => {
    document.title = to.meta.title ? `${to.meta.title} · Brine Dial` : 'Brine Dial';
  });
  return router;
}
