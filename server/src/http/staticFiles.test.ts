import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib';
import { Hono } from 'hono';
import { serveWeb } from './staticFiles.ts';

const folder = mkdtempSync(join(tmpdir(), 'brine-web-'));
const page = '<!doctype html><title>Brine Dial</title>';
const script = `export const words = ${JSON.stringify('cold '.repeat(500))};`;
const app = new Hono();

beforeAll(() => {
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), page);
  writeFileSync(join(folder, 'assets', 'a-1.js'), script);
  writeFileSync(join(folder, 'assets', 'a-1.js.br'), brotliCompressSync(script));
  writeFileSync(join(folder, 'assets', 'a-1.js.gz'), gzipSync(script));
  serveWeb(app, folder);
});
afterAll(() => rmSync(folder, { recursive: true }));

const bodyOf = async (answer: Response) => Buffer.from(await answer.arrayBuffer());
const get = (path: string, headers: Record<string, string> = {}) => app.request(path, { headers });

test('a file goes packed to whoever takes it so, the smallest first, and is the same file', async () => {
  const [br, gz, plain] = await Promise.all([
    get('/assets/a-1.js', { 'accept-encoding': 'gzip, deflate, br' }),
    get('/assets/a-1.js', { 'accept-encoding': 'gzip' }),
    get('/assets/a-1.js'),
  ]);
  expect([br, gz, plain].map((answer) => answer.headers.get('content-encoding'))).toEqual([
    'br',
    'gzip',
    null,
  ]);
  expect(brotliDecompressSync(await bodyOf(br)).toString()).toBe(script);
  expect(gunzipSync(await bodyOf(gz)).toString()).toBe(script);
  expect(await plain.text()).toBe(script);
  expect(br.headers.get('content-type')).toContain('text/javascript');
  expect(br.headers.get('vary')).toContain('Accept-Encoding');
  expect(br.headers.get('cache-control')).toContain('immutable');
});

test('what is packed has no address of its own that a page would be given for a program', async () => {
  expect((await get('/assets/none.js')).status).toBe(404);
});

test('the page is sent where it changed, and only then, at any of its addresses', async () => {
  const first = await get('/jobs/some-job/survey');
  expect([first.status, await first.text()]).toEqual([200, page]);
  expect(first.headers.get('cache-control')).toBe('no-cache');
  const tag = first.headers.get('etag')!;
  expect(tag).toMatch(/^W\/"/);
  for (const path of ['/', '/index.html', '/jobs/another']) {
    const again = await get(path, { 'if-none-match': tag });
    expect([path, again.status, await again.text()]).toEqual([path, 304, '']);
  }
  writeFileSync(join(folder, 'index.html'), `${page}<p>Newer</p>`);
  utimesSync(join(folder, 'index.html'), new Date(), new Date(Date.now() + 5000));
  const newer = await get('/', { 'if-none-match': tag });
  expect([newer.status, await newer.text()]).toEqual([200, `${page}<p>Newer</p>`]);
});
