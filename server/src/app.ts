import { randomUUID } from 'node:crypto';
import { Hono, type Context } from 'hono';
import { personOfSession } from './auth/auth.service.ts';
import { callerOf } from './http/caller.ts';
import type { Caller, Services, SignedIn } from './http/context.ts';
import { AppError, asAppError, errorBody, statusOf } from './http/errors.ts';
import { openApiDocument } from './http/openapi.ts';
import { refuseForeignOrigin } from './http/origin.ts';
import { validated, type Access, type RouteDefinition } from './http/route.ts';
import { routes } from './http/routes.ts';
import { securityHeaders } from './http/securityHeaders.ts';
import { staticFiles } from './http/staticFiles.ts';

const BODY_LIMIT = 64 * 1024;
export const API_VERSION = '0.1.0';

interface Variables {
  requestId: string;
}

/** The whole server as one function from request to answer. State is in the database alone. */
export function createApp(services: Services): Hono<{ Variables: Variables }> {
  const app = new Hono<{ Variables: Variables }>();
  app.use(securityHeaders(services.config.tls !== null));
  app.use(async (context, next) => {
    const started = performance.now();
    const requestId = randomUUID();
    context.set('requestId', requestId);
    context.header('x-request-id', requestId);
    await next();
    const { pathname } = new URL(context.req.url);
    // Links carry a secret in their path.
    const path = pathname.replace(/^(\/api\/links\/|\/link\/|\/api\/share\/|\/u\/).+/, '$1…');
    services.log.info(
      {
        requestId,
        method: context.req.method,
        path,
        status: context.res.status,
        ms: Math.round(performance.now() - started),
      },
      'request',
    );
  });
  app.onError((thrown, context) => {
    const error = asAppError(thrown);
    const requestId = context.get('requestId') ?? 'none';
    if (statusOf[error.code] >= 500)
      services.log.error({ requestId, err: error.cause ?? thrown }, error.message);
    return context.json(errorBody(error, requestId), statusOf[error.code]);
  });

  app.get('/health/live', (context) => context.json({ live: true }));
  app.get('/health/ready', async (context) => {
    const ready = await services.database.isReady();
    return context.json({ ready }, ready ? 200 : 503);
  });
  const document = openApiDocument(routes, API_VERSION);
  app.get('/api/openapi.json', (context) => context.json(document));

  for (const definition of routes)
    app.on(definition.method.toUpperCase(), `/api${definition.path}`, (context) =>
      answer(definition, context, services, context.get('requestId')),
    );
  app.all('/api/*', () => {
    throw new AppError('notFound', 'No such address; see /api/openapi.json');
  });
  if (services.config.webFolder !== null) app.get('*', staticFiles(services.config.webFolder));
  return app;
}

async function answer(
  definition: RouteDefinition,
  context: Context,
  services: Services,
  requestId: string,
): Promise<Response> {
  const caller = callerOf(context, requestId, services.config);
  if (definition.method !== 'get') refuseForeignOrigin(context);
  const person = await admitted(definition.access, services, caller);
  const [params, query] = [
    await validated(definition.params, context.req.param(), 'path'),
    await validated(definition.query, context.req.query(), 'query'),
  ];
  const body = definition.body
    ? await validated(definition.body, await readBody(context, definition.limit ?? BODY_LIMIT), 'body')
    : {};
  const result = await definition.handle({ params, query, body, person, caller, services, context });
  if (result instanceof Response) return result;
  context.header('cache-control', 'no-store');
  return context.json(result as object, definition.status ?? 200);
}

const rank = { viewer: 0, technician: 1, lead: 2 } as const;

/** The one place where access is checked: every route states who may call it. */
async function admitted(access: Access, services: Services, caller: Caller): Promise<SignedIn | null> {
  // A ticket is checked where it is used, together with the author's role.
  if (access === 'public' || access === 'ticket') return null;
  const person = await personOfSession(services, caller);
  if (!person) throw new AppError('notSignedIn', 'Sign in first');
  if (rank[person.role] < rank[access])
    throw new AppError('forbidden', `This needs a ${access}; you are signed in as ${person.role}`);
  return person;
}

async function readBody(context: Context, limit: number): Promise<unknown> {
  const type = context.req.header('content-type') ?? '';
  if (!type.toLowerCase().startsWith('application/json'))
    throw new AppError('wrongType', 'Expected content-type application/json');
  if (Number(context.req.header('content-length') ?? 0) > limit) throw tooLarge(limit);
  const text = await readLimited(context.req.raw.body, limit);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new AppError('badInput', 'The body is no JSON', { cause: error });
  }
}

/** Reads a body of at most `limit` bytes; a length header may lie or be missing. */
async function readLimited(stream: ReadableStream<Uint8Array> | null, limit: number): Promise<string> {
  if (!stream) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of stream as unknown as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > limit) throw tooLarge(limit);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

function tooLarge(limit: number): AppError {
  return new AppError('tooLarge', `The body is larger than ${Math.round(limit / 1024)} KiB`);
}
