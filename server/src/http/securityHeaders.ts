import { Hono, type MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';

/** Where the workers lie that read photographs and QR codes: they alone run WebAssembly, and a worker obeys the policy it was served with. */
const READERS = /^\/(letters\/|assets\/codes\.worker-[\w-]+\.js$)/;

/**
 * Parts of a page: what may run, be framed or be asked for is said by the page they belong to (a worker has a policy of its own). Of some forty files, each with all of it, a slow line would
 * carry thirty kilobytes of the same words.
 */
const PARTS = /^\/assets\/(?!.*worker).+\.(js|css|woff2?|svg|png)$/;
const ofParts: ReadonlySet<string> = new Set([
  'cross-origin-resource-policy',
  'strict-transport-security',
  'x-content-type-options',
]);

/** A phone that learns to trust the certificate asks from the page of trust, another origin, whether this can be reached. It says nothing else. */
const REACHED = '/health/live';

const headersWith = (
  https: boolean,
  scripts: readonly string[],
  fetchedFrom: 'same-origin' | 'cross-origin' = 'same-origin',
): MiddlewareHandler =>
  secureHeaders({
    contentSecurityPolicy: {
      defaultSrc: ["'self'"],
      scriptSrc: [...scripts],
      // The UI library places menus with style attributes; scripts stay strict.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
    permissionsPolicy: { camera: ['self'], geolocation: [], microphone: [] },
    crossOriginResourcePolicy: fetchedFrom,
    referrerPolicy: 'no-referrer',
    xFrameOptions: 'DENY',
    strictTransportSecurity: https ? 'max-age=31536000' : false,
    xXssProtection: false,
  });

/** What the headers of one kind of answer are: they are the same on each, so they are made once. */
async function madeOnce(made: MiddlewareHandler): Promise<readonly (readonly [string, string])[]> {
  const answer = await new Hono()
    .use(made)
    .get('/', (context) => context.body(null))
    .request('/');
  return [...answer.headers];
}

/**
 * Headers every answer carries. HSTS only over HTTPS, where it means something. They stand on the context before the answer is made: on an answer that is there already each of them would take
 * it apart and put it together again.
 */
export function securityHeaders(https: boolean): MiddlewareHandler {
  const everywhere = madeOnce(headersWith(https, ["'self'"]));
  const readers = madeOnce(headersWith(https, ["'self'", "'wasm-unsafe-eval'"]));
  const reached = madeOnce(headersWith(https, ["'self'"], 'cross-origin'));
  const parts = everywhere.then((all) => all.filter(([name]) => ofParts.has(name.toLowerCase())));
  const of = (path: string) =>
    READERS.test(path) ? readers : PARTS.test(path) ? parts : path === REACHED ? reached : everywhere;
  return async (context, next) => {
    for (const [name, value] of await of(context.req.path)) context.header(name, value);
    await next();
  };
}
