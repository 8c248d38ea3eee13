import { readinessOf } from './health/readiness.ts';
import { randomUUID } from 'node:crypto';
import { Hono, type Context, type MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { openApiDocument } from '@brine/contract/openapi';
import { BODY_LIMIT } from '@brine/contract/routes';
import { note } from './audit/audit.service.ts';
import { admitted, type Admitted } from './auth/admission.ts';
import { callerOf } from './http/caller.ts';
import type { Caller, Services, SignedIn } from './http/context.ts';
import { AppError, asAppError, errorBody, statusOf } from './http/errors.ts';
import { hasLeft } from './http/hasLeft.ts';
import { loggedError } from './http/loggedError.ts';
import { refuseForeignOrigin } from './http/origin.ts';
import { bodyText, validated, type Noted, type ServedRoute } from './http/route.ts';
import { routes } from './http/routes.ts';
import { securityHeaders } from './http/securityHeaders.ts';
import { serveWeb } from './http/staticFiles.ts';
import { WrittenAnswer } from './http/written.ts';

export const API_VERSION = '0.1.0';

interface Env {
  Variables: { requestId: string; admitted: Admitted };
}

/** The whole server as one function from request to answer. State is in the database alone. */
export function createApp(services: Services): Hono<Env> {
  const { mount } = services.config;
  // The demo beside a real company has the same addresses, below its own.
  const app = new Hono<Env>(
    mount === '' ? {} : { getPath: (request) => new URL(request.url).pathname.slice(mount.length) },
  );
  app.use(securityHeaders(services.config.tls !== null));
  app.use(logged(services));
  // Said beforehand: said afterwards, as `compress` does, it would have the answer made twice.
  app.use('/api/*', (context, next) => {
    context.header('vary', 'Accept-Encoding');
    return next();
  });
  // Leaves alone what is small, packed already, or an event stream.
  app.use(compress());
  app.onError((thrown, context) => {
    const requestId = (context.get('requestId') as string | undefined) ?? 'none';
    if (hasLeft(context, thrown)) {
      services.log.debug({ requestId }, 'the caller left before the answer');
      return context.body(null);
    }
    const error = asAppError(thrown);
    if (statusOf[error.code] >= 500)
      services.log.error({ requestId, err: loggedError(error.cause ?? thrown) }, error.message);
    return context.json(errorBody(error, requestId), statusOf[error.code]);
  });

  app.get('/health/live', (context) => context.json({ live: true }));
  const readiness = readinessOf(services.database, services.config.dataFolder);
  app.get('/health/ready', async (context) => {
    const answer = await readiness();
    return context.json(answer, answer.ready ? 200 : 503);
  });
  const document = openApiDocument(
    routes.map((route) => route.contract),
    API_VERSION,
    Object.keys(statusOf),
  );
  app.get('/api/openapi.json', (context) => context.json(document));
  for (const route of routes) addRoute(app, services, route);
  app.all('/api/*', () => {
    throw new AppError('notFound', 'No such address; see /api/openapi.json');
  });
  if (services.config.webFolder !== null) serveWeb(app, services.config.webFolder);
  return app;
}

/** Who calls is settled before a byte of the body is read; its size before it is parsed; its length before its elements. */
function addRoute(app: Hono<Env>, services: Services, route: ServedRoute): void {
  const { contract } = route;
  const admit: MiddlewareHandler<Env> = async (context, next) => {
    if (contract.method !== 'get') refuseForeignOrigin(context, services.config.trustProxy);
    const caller = callerOf(context, context.get('requestId'), services.config);
    const ticket = context.req.header('x-brine-ticket') ?? null;
    const link = context.req.header('x-brine-link') ?? null;
    context.set('admitted', await admitted(contract, services, caller, ticket, link));
    await next();
  };
  const limit = contract.limit ?? BODY_LIMIT;
  const sized: MiddlewareHandler<Env> = contract.body
    ? bodyLimit({
        maxSize: limit,
        onError: () => {
          throw new AppError('tooLarge', `The body is larger than ${Math.round(limit / 1024)} KiB`);
        },
      })
    : (_, next) => next();
  app.on(contract.method.toUpperCase(), `/api${contract.path}`, admit, sized, (context) =>
    answer(route, context, services),
  );
}

async function answer(route: ServedRoute, context: Context<Env>, services: Services): Promise<Response> {
  const { contract } = route;
  const params = validated(contract.params, context.req.param(), 'path');
  const query = validated(contract.query, context.req.query(), 'query');
  const body =
    contract.body && !contract.readInside
      ? validated(contract.body, await readJson(context), 'body', contract.judgedInside)
      : {};
  const input = { ...context.get('admitted'), params, query, body, services, context };
  const result = await route.handle(input);
  if (route.noted) await keepNote(services, input.caller, input.person, await route.noted(input, result));
  if (result instanceof Response) return withEverywhere(context, result);
  if (result instanceof WrittenAnswer) return context.body(result.text, 200, result.headers);
  context.header('cache-control', 'no-store');
  return context.json(result as object, contract.status ?? 200);
}

/** What every answer carries stands on the context, and comes onto one that a route made by itself. */
function withEverywhere(context: Context<Env>, own: Response): Response {
  return own.headers.has('x-request-id') ? own : context.newResponse(own.body, own);
}

/** What was done is kept once it was done; an answer is given after that. */
function keepNote(
  services: Services,
  caller: Caller,
  signedInAs: SignedIn | null,
  { kind, about = {}, person = signedInAs ?? undefined }: Noted,
): Promise<void> {
  return note(services, caller, { kind, personId: person?.id ?? null, login: person?.login ?? '', about });
}

async function readJson(context: Context): Promise<unknown> {
  const text = await bodyText(context);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new AppError('badInput', 'The request body is not valid JSON', { cause: error });
  }
}

function logged(services: Services): MiddlewareHandler<Env> {
  return async (context, next) => {
    const started = performance.now();
    const requestId = randomUUID();
    context.set('requestId', requestId);
    context.header('x-request-id', requestId);
    await next();
    // Links carry a secret in their path.
    const path = context.req.path.replace(
      /^(\/api\/links\/|\/link\/|\/api\/share\/|\/api\/calendar\/|\/u\/).+/,
      '$1…',
    );
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
  };
}
