import { readFile, stat } from 'node:fs/promises';
import { extname, join, normalize, sep } from 'node:path';
import type { Context } from 'hono';

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.woff': 'font/woff',
  '.woff2': 'font/woff2',
  '.webmanifest': 'application/manifest+json',
  '.json': 'application/json',
};

/**
 * Serves the built web application from a folder; a path without a file is a page of it. Hashed assets may be kept for a year, the
 * page itself is asked for anew each time.
 */
export function staticFiles(folder: string) {
  const root = normalize(folder.endsWith(sep) ? folder : folder + sep);
  return async (context: Context): Promise<Response> => {
    const path = decodeSafely(new URL(context.req.url).pathname);
    const wanted = path === null ? null : normalize(join(root, path));
    const file = wanted !== null && wanted.startsWith(root) && (await isFile(wanted)) ? wanted : null;
    if (file === null && path !== null && extname(path) !== '' && path.startsWith('/assets/'))
      return context.notFound();
    const chosen = file ?? join(root, 'index.html');
    const body = await readFile(chosen);
    const kept = chosen.startsWith(join(root, 'assets') + sep);
    return new Response(new Uint8Array(body), {
      headers: {
        'content-type': types[extname(chosen)] ?? 'application/octet-stream',
        'cache-control': kept ? 'public, max-age=31536000, immutable' : 'no-cache',
      },
    });
  };
}

async function isFile(path: string): Promise<boolean> {
  try {
    return (await stat(path)).isFile();
  } catch {
    return false;
  }
}

function decodeSafely(path: string): string | null {
  try {
    return decodeURIComponent(path);
  } catch {
    return null;
  }
}
