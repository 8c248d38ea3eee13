import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Harness } from '../../testing/harness.ts';
import { asAppError, errorBody, statusOf } from './errors.ts';
import { routes as served } from './routes.ts';

const routes = served.map((route) => route.contract);

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
  await harness.person('tess', 'technician');
});
afterAll(() => harness.stop());

describe('every answer', () => {
  test('carries a request id and headers that keep scripts of others out', async () => {
    const { headers } = await harness.client().call('GET', '/health/live');
    expect(headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    const policy = headers.get('content-security-policy')!;
    expect(policy).toContain("script-src 'self';");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  test('what the database wrote carries them too, and is told as JSON', async () => {
    const tess = harness.client();
    await tess.signIn('tess');
    const expected = async (path: string, type: string) => {
      const { headers } = await tess.call('GET', path);
      expect([path, headers.get('content-type')]).toEqual([path, type]);
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
      expect(headers.get('cache-control')).toContain('no-store');
    };
    await expected('/api/jobs', 'application/json');
    await expected('/api/me', 'application/json');
  });

  test('only the workers that read photographs and codes may run WebAssembly, and nothing may run text', async () => {
    const policyOf = async (path: string) =>
      (await harness.client().call('GET', path)).headers.get('content-security-policy')!;
    expect(await policyOf('/letters/worker.min.js')).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(await policyOf('/assets/codes.worker-Ab_3-x.js')).toContain(
      "script-src 'self' 'wasm-unsafe-eval';",
    );
    expect(await policyOf('/assets/index-codes.worker-Ab_3-x.js')).toContain("script-src 'self';");
    expect(await policyOf('/api/letters/worker.min.js')).toContain("script-src 'self';");
    expect(await policyOf('/letters/worker.min.js')).not.toContain("'unsafe-eval'");
  });

  test('a part of a page says what it is and whose; what it may do is said by its page', async () => {
    const headersOf = async (path: string) => [...(await harness.client().call('GET', path)).headers.keys()];
    const part = await headersOf('/assets/index-Ab_3-x.js');
    expect(part).toEqual(expect.arrayContaining(['cross-origin-resource-policy', 'x-content-type-options']));
    expect(part).not.toContain('content-security-policy');
    for (const whole of [
      '/assets/core.worker-Ab_3-x.js',
      '/index.html',
      '/assets/../jobs',
      '/api/assets/a.js',
    ])
      expect(await headersOf(whole)).toContain('content-security-policy');
  });

  test('another origin may ask whether the server is reached, and fetch nothing else', async () => {
    const fetchedBy = async (path: string) =>
      (await harness.client().call('GET', path)).headers.get('cross-origin-resource-policy');
    expect(await fetchedBy('/health/live')).toBe('cross-origin');
    expect(await fetchedBy('/api/me')).toBe('same-origin');
  });

  test('names the request id in an error', async () => {
    const answer = await harness.client().call('GET', '/api/nowhere');
    expect(answer.status).toBe(404);
    expect(answer.json.error.requestId).toBe(answer.headers.get('x-request-id'));
  });
});

describe('requests that do not fit', () => {
  test('another site’s page changes nothing', async () => {
    const tess = harness.client();
    await tess.signIn('tess');
    for (const headers of [
      { origin: 'https://evil.example' },
      { origin: 'https://evil.example', 'x-forwarded-host': 'evil.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
    ])
      expect(
        (await tess.call('POST', '/api/sites', { name: 'x' }, { headers: headers as never })).status,
      ).toBe(403);
    expect(
      (await tess.call('POST', '/api/sites', { name: 'x' }, { headers: { origin: 'http://localhost:4780' } }))
        .status,
    ).toBe(201);
  });

  test('a form post is refused by its type', async () => {
    const answer = await harness.client().call('POST', '/api/sign-in', 'login=a', {
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
    });
    expect([answer.status, answer.json.error.code]).toEqual([415, 'wrongType']);
  });

  test('no JSON is said so', async () => {
    const answer = await harness
      .client()
      .call('POST', '/api/sign-in', '{oops', { headers: { 'content-type': 'application/json' } });
    expect([answer.status, answer.json.error.message]).toEqual([400, 'The request body is not valid JSON']);
  });

  test('a body over the limit is refused, whatever its length header says', async () => {
    const body = JSON.stringify({ login: 'a'.repeat(70_000), password: 'b', device: 'c' });
    const answer = await harness.client().call('POST', '/api/sign-in', body);
    expect([answer.status, answer.json.error.code]).toEqual([413, 'tooLarge']);
    // Without a length it is counted as it comes; a length that lies is Node's own refusal.
    const chunked = await harness
      .client()
      .call('POST', '/api/sign-in', body, { headers: { 'transfer-encoding': 'chunked' } });
    expect(chunked.status).toBe(413);
  });

  test('every field that does not fit is named', async () => {
    const answer = await harness.client().call('POST', '/api/sign-in', { device: 'd' });
    expect(answer.status).toBe(400);
    expect(answer.json.error.problems.map((p: { field: string }) => p.field).sort()).toEqual([
      'body.login',
      'body.password',
    ]);
  });
});

describe('errors', () => {
  test('an unknown throw shows nothing of itself', () => {
    const body = errorBody(asAppError(new Error('password is hunter2')), 'r1');
    expect(JSON.stringify(body)).not.toContain('hunter2');
    expect(body.error).toMatchObject({ code: 'internal', requestId: 'r1' });
  });

  test('a database that does not answer is called unavailable', () => {
    expect(asAppError(Object.assign(new Error('x'), { code: 'ECONNREFUSED' })).code).toBe('unavailable');
  });

  test('each code is documented, and each documented code exists', () => {
    const text = readFileSync(new URL('../../../docs/errors.md', import.meta.url), 'utf8');
    const documented = [...text.matchAll(/^\| `(\w+)` \| (\d+) \|/gm)].map((m) => [m[1], Number(m[2])]);
    expect(Object.fromEntries(documented)).toEqual(statusOf);
  });
});

describe('health and description', () => {
  test('ready while the database answers', async () => {
    expect((await harness.client().call('GET', '/health/ready')).json).toEqual({ ready: true, why: null });
  });

  test('not ready without it', async () => {
    const down = await startHarness();
    await down.stop();
    const answer = await down.client().call('GET', '/health/ready');
    expect([answer.status, answer.json]).toEqual([
      503,
      { ready: false, why: 'the database takes no writes' },
    ]);
  });

  test('the OpenAPI document describes every route', async () => {
    const { json } = await harness.client().call('GET', '/api/openapi.json');
    expect(json.openapi).toBe('3.1.0');
    for (const route of routes) {
      const operation = json.paths[`/api${route.path.replace(/:(\w+)/g, '{$1}')}`]?.[route.method];
      expect([route.path, operation?.summary]).toEqual([route.path, route.summary]);
      expect(Boolean(operation.requestBody)).toBe(Boolean(route.body ?? route.upload));
      // What it answers: JSON by its schema, or a file of a media type.
      const content = operation.responses[String(route.status ?? 200)].content;
      expect(Object.keys(content)).toEqual(route.answer ? ['application/json'] : route.file);
    }
    expect(json.paths['/api/sites'].post.requestBody.content['application/json'].schema).toMatchObject({
      type: 'object',
      required: ['name'],
      properties: { name: { type: 'string', maxLength: 200 } },
    });
  });
});
