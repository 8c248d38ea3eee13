import type { MiddlewareHandler } from 'hono';

const policy = [
  "default-src 'self'",
  "script-src 'self'",
  // The UI library places menus with style attributes; scripts stay strict.
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** Headers every answer carries. HSTS only over HTTPS, where it means something. */
export function securityHeaders(https: boolean): MiddlewareHandler {
  return async (context, next) => {
    await next();
    context.header('content-security-policy', policy);
    context.header('x-content-type-options', 'nosniff');
    context.header('referrer-policy', 'no-referrer');
    context.header('x-frame-options', 'DENY');
    context.header('cross-origin-opener-policy', 'same-origin');
    context.header('cross-origin-resource-policy', 'same-origin');
    context.header('permissions-policy', 'camera=(self), geolocation=(), microphone=()');
    if (https) context.header('strict-transport-security', 'max-age=31536000');
  };
}
