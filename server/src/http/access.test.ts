import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Client, type Harness } from '../../testing/harness.ts';
import { routes as served } from './routes.ts';

const routes = served.map((route) => route.contract);

let harness: Harness;
const clients = new Map<string, Client>();
beforeAll(async () => {
  harness = await startHarness();
  for (const role of ['viewer', 'technician', 'lead'] as const) {
    await harness.person(role, role);
    const client = harness.client();
    await client.signIn(role);
    clients.set(role, client);
  }
});
afterAll(() => harness.stop());

const rank = { viewer: 0, technician: 1, lead: 2 } as const;
const filled = (path: string) =>
  `/api${path.replace(/:id\b/g, '00000000-0000-4000-8000-000000000000').replace(/:\w+/g, 'x')}`;
const guarded = routes.filter(
  (route) => route.access !== 'public' && route.access !== 'ticket' && route.access !== 'link',
);

describe('every route checks who calls', () => {
  test.each(guarded.map((r) => [r.method, r.path, r] as const))(
    '%s %s refuses strangers and lower roles',
    async (method, path, route) => {
      // An empty body is refused as input only after the caller was let in.
      const body = method === 'get' ? undefined : {};
      const stranger = await harness.client().call(method.toUpperCase(), filled(path), body);
      expect([stranger.status, stranger.json.error.code]).toEqual([401, 'notSignedIn']);
      for (const role of ['viewer', 'technician', 'lead'] as const) {
        if (path === '/people/:id/end-sessions' && role === 'lead') continue;
        const answer = await clients.get(role)!.call(method.toUpperCase(), filled(path), body);
        const admitted = rank[role] >= rank[route.access as keyof typeof rank];
        expect([role, answer.status === 403]).toEqual([role, !admitted]);
        expect(answer.status).not.toBe(500);
      }
    },
  );

  test('public routes are exactly signing in and out, one-time links, the page of a unit behind its sheet’s code, and a calendar behind its link', () => {
    expect(routes.filter((r) => r.access === 'public').map((r) => `${r.method} ${r.path}`)).toEqual([
      'post /sign-in',
      'post /sign-out',
      'get /links/:token',
      'post /links/:token',
      'get /share/:token',
      'get /calendar/:file',
    ]);
  });

  test.each(routes.filter((r) => r.access === 'link').map((r) => [r.method, r.path] as const))(
    '%s %s wants the token of a link, whoever is signed in',
    async (method, path) => {
      for (const client of [harness.client(), clients.get('lead')!]) {
        const answer = await client.call(method.toUpperCase(), filled(path), {});
        expect([answer.status, answer.json.error.code]).toEqual([401, 'notSignedIn']);
      }
    },
  );

  test.each(routes.filter((r) => r.access === 'ticket').map((r) => [r.method, r.path] as const))(
    '%s %s wants a ticket',
    async (method, path) => {
      const client = harness.client();
      const body =
        path === '/entries'
          ? {
              entries: [
                {
                  id: '00000000-0000-4000-8000-000000000000',
                  job: '00000000-0000-4000-8000-000000000000',
                  deviceSequence: 1,
                  deviceTime: 'x',
                  seen: 0,
                  body: {},
                },
              ],
            }
          : undefined;
      expect((await client.call(method.toUpperCase(), `/api${path}`, body)).status).toBe(401);
    },
  );
});
