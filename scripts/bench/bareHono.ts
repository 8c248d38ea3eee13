import { serve } from '@hono/node-server';
import { Hono } from 'hono';
import { getCookie } from 'hono/cookie';
import { JOBS_A_PAGE } from '@brine/contract/routes';
import { hashOf } from '../../server/src/auth/token.ts';
import { openReader } from '../../server/src/database/reader.ts';
import { readsOn } from '../../server/src/database/reads.ts';

/**
 * The least a server can do for the same answers: the same session check and the same prepared selects, and nothing else. What the product adds is measured
 * against this. Reads `BRINE_DATABASE_URL` and `BRINE_PORT`; says when it listens.
 */
const reads = readsOn(openReader(process.env['BRINE_DATABASE_URL']!));
const json = (text: string) => new Response(text, { headers: { 'content-type': 'application/json' } });

const app = new Hono<{ Variables: { person: object } }>();
app.use(async (context, next) => {
  const session = await reads.sessions.open(hashOf(getCookie(context, 'brine_session') ?? ''), new Date());
  if (!session) return context.json({}, 401);
  context.set('person', session);
  return next();
});
app.get('/api/me', (context) => context.json({ person: context.get('person') }));
app.get('/api/jobs', async () => {
  const { ids, next, total } = await reads.jobs.search({
    text: '',
    unitId: null,
    archived: false,
    state: 'all',
    order: 'newest',
    personId: null,
    today: '',
    after: null,
    limit: JOBS_A_PAGE,
  });
  return json(`{"jobs":${await reads.jobs.viewsText(ids)},"next":${JSON.stringify(next)},"total":${total}}`);
});
app.get('/api/jobs/:id', async (context) =>
  json(`{"job":${await reads.jobs.viewText(context.req.param('id'))}}`),
);
app.get('/api/jobs/:id/entries', async (context) => {
  const page = await reads.entries.textAfter(context.req.param('id'), 0, 1000);
  return json(`{"entries":${page?.entries},"names":${page?.names},"more":false}`);
});
serve({ fetch: app.fetch, hostname: '127.0.0.1', port: Number(process.env['BRINE_PORT']) }, () =>
  process.stdout.write('READY\n'),
);
