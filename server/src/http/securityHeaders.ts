import type { MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';

/** Where the worker that reads photographs lies: it alone runs WebAssembly, and a worker obeys the policy it was served with. */
const LETTERS = '/letters/';

const headersWith = (https: boolean, scripts: readonly string[]): MiddlewareHandler =>
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
    referrerPolicy: 'no-referrer',
    xFrameOptions: 'DENY',
    strictTransportSecurity: https ? 'max-age=31536000' : false,
    xXssProtection: false,
  });

/** Headers every answer carries. HSTS only over HTTPS, where it means something. */
export function securityHeaders(https: boolean): MiddlewareHandler {
  const everywhere = headersWith(https, ["'self'"]);
  const letters = headersWith(https, ["'self'", "'wasm-unsafe-eval'"]);
  return (context, next) => (context.req.path.startsWith(LETTERS) ? letters : everywhere)(context, next);
}
