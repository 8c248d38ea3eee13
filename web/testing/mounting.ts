import 'fake-indexeddb/auto';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { defineComponent, h, type Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import type { EntryBody } from '@brine/contract/entries';
import type { Job, Role } from '@brine/contract/routes';
import { kept } from '../src/shared/kept/keptStorage.ts';
import { useSession } from '../src/shared/session/sessionStore.ts';

// What jsdom lacks of a browser.
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
} as unknown as typeof ResizeObserver;
globalThis.matchMedia ??= ((query: string) => ({
  matches: false,
  media: query,
  addEventListener() {},
  removeEventListener() {},
})) as unknown as typeof matchMedia;
globalThis.Worker ??= class {
  postMessage() {}
  addEventListener() {}
  removeEventListener() {}
  terminate() {}
} as unknown as typeof Worker;

/** Answers by `GET /api/people`, or with its query where that matters; a status of its own where it is `[status, json]`; anything else is 404. A missing server: `null`. */
export type Answers = Readonly<Record<string, unknown>> | null;

/** Requests that were made, `POST /api/people {…}`, newest last. */
export const asked: string[] = [];

/** Stands in for the server. */
export function answerWith(answers: Answers): void {
  asked.length = 0;
  globalThis.fetch = (async (address: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    const path = address.split('?')[0]!;
    asked.push(`${method} ${address}${init.body ? ` ${String(init.body)}` : ''}`);
    if (answers === null) throw new TypeError('Failed to fetch');
    const answer = answers[`${method} ${address}`] ?? answers[`${method} ${path}`];
    const [status, json] = Array.isArray(answer)
      ? (answer as [number, unknown])
      : answer === undefined
        ? [404, { error: { code: 'notFound', message: 'No such address', problems: [] } }]
        : [200, answer];
    return { ok: status < 400, status, json: async () => json } as Response;
  }) as typeof fetch;
}

/** An error as the server says it. */
export const refusal = (status: number, message: string): [number, unknown] => [
  status,
  { error: { code: 'conflict', message, problems: [] } },
];

const person = { id: 'p1', name: 'Tess', login: 'tess', demo: false };
const company = {
  name: 'Own company',
  phone: '',
  logo: null,
  schools: {},
  displayUnit: 'fahrenheit' as const,
  offlineDays: 14,
  secondFactor: 'nobody' as const,
  kinds: {},
  version: 1,
};

/** Mounts a page as somebody signed in sees it, and lets it load. */
export async function mountPage(
  page: Component,
  {
    props = {},
    role = 'lead',
    needsSecond = false,
    answers,
  }: { props?: object; role?: Role; needsSecond?: boolean; answers: Answers },
): Promise<VueWrapper> {
  answerWith(
    answers && {
      'GET /api/me': { person: { ...person, role, needsSecond } },
      'GET /api/company': { company },
      'POST /api/me/ticket': { ticket: 'ticket' },
      ...answers,
    },
  );
  // What a page before has kept on the device is not there for this one.
  await kept().forget(person.id);
  setActivePinia(createPinia());
  const session = useSession();
  session.person = { ...person, role, needsSecond };
  session.company = company;
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:any(.*)*', component: defineComponent({ render: () => h('div') }) }],
  });
  await router.push('/');
  const wrapper = mount(page, { props, global: { plugins: [router] }, attachTo: document.body });
  await settle();
  return wrapper;
}

/** Lets requests, the browser's database and what follows from them come to an end. */
export async function settle(): Promise<void> {
  for (let i = 0; i < 8; i += 1) {
    await flushPromises();
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
}

export const JOB = '3f2b8c1e-0000-4000-8000-000000000001';

/** A job as the server has it. */
export const aJob: Job = {
  id: JOB,
  title: 'New control',
  unit: {
    id: 'u1',
    siteId: 's1',
    siteName: 'Own site',
    name: 'Cold room',
    tag: 'C-1',
    plate: 'R-134a, 230 V',
    archived: false,
    version: 1,
  },
  createdAt: '2026-11-29T08:00:00.000Z',
  createdBy: 'Tess',
  assignedTo: null,
  plannedFor: null,
  waitsFor: '',
  summary: null,
  lastSequence: 0,
  archived: false,
  version: 1,
};

/** The stream of a job from its bodies. */
export const streamOf = (bodies: readonly EntryBody[]) => ({
  entries: bodies.map((body, i) => ({
    id: `entry-${i}`,
    job: JOB,
    sequence: i + 1,
    device: 'd',
    deviceSequence: i + 1,
    deviceTime: '2026-11-29T08:00:00.000Z',
    seen: i,
    author: 'p1',
    body,
    receivedAt: '2026-11-29T08:00:00.000Z',
  })),
  names: { p1: 'Tess' },
  more: false,
});

/** Answers of a job with such a stream. */
export const jobAnswers = (bodies: readonly EntryBody[], more: object = {}) => ({
  [`GET /api/jobs/${JOB}`]: { job: aJob },
  [`GET /api/jobs/${JOB}/entries`]: streamOf(bodies),
  [`GET /api/jobs/${JOB}/logs`]: { logs: [] },
  'GET /api/controllers': { controllers: [] },
  ...more,
});

/** The survey of a walk-in cooler of one's own, as somebody types it. */
export const surveyed: readonly EntryBody[] = [
  { kind: 'answer', question: 'application', value: 'walkInCooler' },
  { kind: 'answer', question: 'goods', value: 'dairy' },
  { kind: 'answer', question: 'defrostMethod', value: 'offCycle' },
  { kind: 'answer', question: 'probes', value: ['air'] },
  { kind: 'answer', question: 'displayUnit', value: 'fahrenheit' },
];
