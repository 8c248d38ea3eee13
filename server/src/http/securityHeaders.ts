import type { MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';

/** Headers every answer carries. HSTS only over HTTPS, where it means something. */
export const securityHeaders = (https: boolean): MiddlewareHandler =>
  secureHeaders({
    contentSecurityPolicy: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
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
