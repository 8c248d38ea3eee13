import { relative } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import type { Context, Hono, MiddlewareHandler } from 'hono';
import { etag } from 'hono/etag';

/**
 * Serves the built web application from a folder; a path without a file is a page of it. Hashed assets may be kept for a year; the page itself, and what else keeps its name, is asked for
 * anew each time and sent only where it changed. What lies beside a file packed is sent so to whoever takes it.
 */
export function serveWeb<Env extends object>(app: Hono<Env>, folder: string): void {
  const root = relative(process.cwd(), folder) || '.';
  const files = { root, precompressed: true };
  app.get(
    '/assets/*',
    found((context) => context.header('cache-control', 'public, max-age=31536000, immutable')),
    serveStatic(files),
  );
  app.get('/assets/*', (context) => context.notFound());
  app.get(
    '*',
    etag(),
    found((context) => {
      context.header('cache-control', 'no-cache');
      context.header('etag', tagOf(context.res.headers));
    }),
    serveStatic(files),
    serveStatic({ ...files, path: 'index.html' }),
  );
}

/** What is said of a file once it is known to be there. */
const found =
  (say: (context: Context) => void): MiddlewareHandler =>
  async (context, next) => {
    await next();
    if (context.res.ok) say(context);
  };

/** Weak: by length and the moment of the last change, which a packed file has of its own. */
const tagOf = (headers: Headers): string =>
  `W/"${headers.get('content-length') ?? ''}-${Date.parse(headers.get('last-modified') ?? '').toString(36)}"`;
