import { relative } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import type { Hono } from 'hono';

/**
 * Serves the built web application from a folder; a path without a file is a page of it. Hashed assets may be kept for a year, the
 * page itself is asked for anew each time.
 */
export function serveWeb<Env extends object>(app: Hono<Env>, folder: string): void {
  const root = relative(process.cwd(), folder) || '.';
  const kept = { 'cache-control': 'public, max-age=31536000, immutable' };
  const fresh = { 'cache-control': 'no-cache' };
  const headed = (headers: Readonly<Record<string, string>>) => ({
    root,
    onFound: (_path: string, context: { header(name: string, value: string): void }) => {
      for (const [name, value] of Object.entries(headers)) context.header(name, value);
    },
  });
  app.get('/assets/*', serveStatic(headed(kept)));
  app.get('/assets/*', (context) => context.notFound());
  app.get('*', serveStatic(headed(fresh)));
  app.get('*', serveStatic({ ...headed(fresh), path: 'index.html' }));
}
