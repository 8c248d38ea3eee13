import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { trustPage } from './trustPage.mjs';

const require = createRequire(import.meta.url);
const font = (name, file) =>
  readFileSync(join(require.resolve(`@fontsource/${name}/package.json`), '../files', file));

/**
 * Serves the page of trust over plain HTTP: what is not trusted yet cannot be fetched over HTTPS. Nothing else is served there, and nothing is read of a request but its path.
 * Resolves with the port taken: `port`, or a free one where that is taken.
 */
export async function serveTrust({ port, address, authority, fingerprint }) {
  const certificate = new X509Certificate(readFileSync(authority));
  const name = /CN=(.*)/.exec(certificate.subject)[1];
  const files = {
    '/brine-dial.crt': ['application/x-x509-ca-cert', certificate.raw],
    '/barlow.woff2': ['font/woff2', font('barlow', 'barlow-latin-400-normal.woff2')],
    '/barlow-600.woff2': ['font/woff2', font('barlow', 'barlow-latin-600-normal.woff2')],
    '/mono.woff2': ['font/woff2', font('spline-sans-mono', 'spline-sans-mono-latin-400-normal.woff2')],
  };
  const server = createServer((request, response) => {
    const path = (request.url ?? '/').replace(/\?.*$/, '');
    const [type, body] =
      path === '/'
        ? [
            'text/html; charset=utf-8',
            trustPage({ address, fingerprint, name, userAgent: request.headers['user-agent'] }),
          ]
        : (files[path] ?? ['text/plain', null]);
    response.writeHead(body === null ? 404 : 200, {
      'content-type': type,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    });
    response.end(request.method === 'HEAD' ? undefined : (body ?? 'Nothing here. The page is at /'));
  });
  const listen = (at) =>
    new Promise((resolve, reject) => {
      server.once('error', reject);
      server.listen(at, '0.0.0.0', () => resolve(server.address().port));
    });
  const taken = await listen(port).catch((error) => {
    if (error.code !== 'EADDRINUSE') throw error;
    return listen(0);
  });
  return { port: taken, stop: () => server.close() };
}
