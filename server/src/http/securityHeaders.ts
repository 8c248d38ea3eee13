import type { MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';

/** Where the workers lie that read photographs and QR codes: they alone run WebAssembly, and a worker obeys the policy it was served with. */
const READERS = /^\/(letters\/|assets\/codes\.worker-[\w-]+\.js$)/;

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

/** Headers every answer carries. HSTS only over HTTPS, where it means something. */
export function securityHeaders(https: boolean): MiddlewareHandler {
  const everywhere = headersWith(https, ["'self'"]);
  const readers = headersWith(https, ["'self'", "'wasm-unsafe-eval'"]);
  const reached = headersWith(https, ["'self'"], 'cross-origin');
  const of = (path: string) => (READERS.test(path) ? readers : path === REACHED ? reached : everywhere);
  return (context, next) => of(context.req.path)(context, next);
}
