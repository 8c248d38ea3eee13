import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { FakeServer } from '../../../testing/fakeServer.ts';
import { newId } from './identity.ts';
import { sendAll } from './sender.ts';
import { openStorage, type OutboxStorage } from './storage.ts';

// What jsdom lacks of a browser.
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));

const tess = { id: 'person-tess', name: 'Tess' };
const lena = { id: 'person-lena', name: 'Lena' };
const found = (code: string, value: string) => ({ kind: 'found', code, value }) as const;
let server: FakeServer;
let storage: OutboxStorage;
let name = 0;

beforeEach(async () => {
  server = new FakeServer();
  globalThis.fetch = server.fetch as typeof fetch;
  storage = await openStorage(`outbox-${(name += 1)}`);
  for (const person of [tess, lena]) {
    server.tickets.set(person.id, `ticket-of-${person.id}`);
    await storage.keepTicket({
      author: person.id,
      authorName: person.name,
      ticket: `ticket-of-${person.id}`,
    });
  }
});

const type = (author: typeof tess, value: string, job = 'job-1') =>
  storage.add(author, job, 0, found('Sn', value), new Date(0));
const values = () => server.taken.map((t) => (t.value as { value: string }).value);

describe('the outbox of this browser', () => {
  test('is there again after the tab was closed, with the same device and the next number', async () => {
    await type(tess, '-3');
    const device = await storage.device();
    const again = await openStorage(`outbox-${name}`);
    expect(await again.device()).toBe(device);
    const second = await again.add(tess, 'job-1', 0, found('Sn', '-4'), new Date(0));
    expect(second.entry.deviceSequence).toBe(2);
    expect((await again.entries()).map((w) => w.entry.deviceSequence)).toEqual([1, 2]);
  });

  test('numbers are given once, also to two that write at the same time', async () => {
    const made = await Promise.all(Array.from({ length: 20 }, (_, i) => type(tess, String(i))));
    expect(new Set(made.map((w) => w.entry.deviceSequence)).size).toBe(20);
  });

  test('a refusal of a later batch leaves alone what an earlier one brought in', async () => {
    for (let n = 0; n < 150; n += 1) await type(tess, String(n));
    const whole = server.fetch;
    let posts = 0;
    globalThis.fetch = (async (path: string, init: RequestInit) => {
      posts += 1;
      if (posts === 1) return whole(path, init);
      const error = { code: 'forbidden', message: 'Viewers read', problems: [] };
      return { ok: false, status: 403, json: async () => ({ error }) } as Response;
    }) as typeof fetch;
    const { accepted } = await sendAll(storage);
    expect([accepted.length, server.taken.length]).toEqual([100, 100]);
    const left = await storage.entries();
    expect(left.map((w) => w.state)).toEqual(new Array(50).fill('refused'));
    expect(left[0]!.problem).toBe('Viewers read');
  });

  test('sends in the order typed and keeps nothing that was accepted', async () => {
    for (const value of ['1', '2', '3']) await type(tess, value);
    const { accepted, serverAway } = await sendAll(storage);
    expect(values()).toEqual(['1', '2', '3']);
    expect(accepted.map((a) => a.sequence)).toEqual([1, 2, 3]);
    expect(serverAway).toBe(false);
    expect(await storage.entries()).toEqual([]);
  });

  test.each(['away', 'busy'] as const)('server %s: everything stays and goes later', async (mode) => {
    await type(tess, '-3');
    server.mode = mode;
    expect((await sendAll(storage)).serverAway).toBe(true);
    expect(await storage.entries()).toHaveLength(1);
    server.mode = 'up';
    await sendAll(storage);
    expect(values()).toEqual(['-3']);
    expect(await storage.entries()).toEqual([]);
  });

  test('an answer that was lost leads to a second post and to one entry', async () => {
    await type(tess, '-3');
    server.mode = 'losesAnswer';
    await sendAll(storage);
    server.mode = 'up';
    const { accepted } = await sendAll(storage);
    expect(server.posts).toBe(2);
    expect(values()).toEqual(['-3']);
    expect(accepted).toHaveLength(1);
  });

  test('each author’s entries go under that author’s ticket, whoever is signed in', async () => {
    await type(tess, '-3');
    await type(lena, '-5');
    await type(tess, '-4', 'job-2');
    await sendAll(storage);
    expect(server.taken.map((t) => t.ticket).sort()).toEqual([
      'ticket-of-person-lena',
      'ticket-of-person-tess',
      'ticket-of-person-tess',
    ]);
  });

  test('a ticket no longer good: the author must sign in again, the entry waits, others go on', async () => {
    await type(tess, '-3');
    await type(lena, '-5');
    server.tickets.delete(tess.id);
    expect((await sendAll(storage)).mustSignIn).toEqual(['Tess']);
    expect(values()).toEqual(['-5']);
    expect((await storage.entries()).map((w) => w.state)).toEqual(['waiting']);
    server.tickets.set(tess.id, 'new-ticket');
    await storage.keepTicket({ author: tess.id, authorName: 'Tess', ticket: 'new-ticket' });
    await sendAll(storage);
    expect(values()).toEqual(['-5', '-3']);
  });

  test('a refused entry stays with the reason, and does not hold up the rest', async () => {
    await type(tess, 'nonsense');
    await type(tess, '-4');
    server.refuse = (body) =>
      (body as { value: string }).value === 'nonsense' ? 'The job is archived' : null;
    await sendAll(storage);
    expect(values()).toEqual(['-4']);
    expect(await storage.entries()).toMatchObject([{ state: 'refused', problem: 'The job is archived' }]);
    await sendAll(storage);
    expect(server.posts).toBe(1);
  });

  test('an entry over which the server stumbles holds up no other, and is put aside after three rounds', async () => {
    for (const value of ['1', 'bad', '3', '4', '5']) await type(tess, value);
    await type(lena, '6');
    server.stumblesOver = (body) => (body as { value: string }).value === 'bad';
    const first = await sendAll(storage);
    expect(first.serverAway).toBe(false);
    expect(values().sort()).toEqual(['1', '3', '4', '5', '6']);
    expect(await storage.entries()).toMatchObject([{ state: 'waiting', tries: 1 }]);
    await sendAll(storage);
    await sendAll(storage);
    expect(await storage.entries()).toMatchObject([{ state: 'refused', problem: 'Something went wrong' }]);
    const { posts } = server;
    await sendAll(storage);
    expect(server.posts).toBe(posts);
  });

  test('a stumble of the moment passes: the entry goes in the next round', async () => {
    await type(tess, '1');
    server.stumblesOver = () => true;
    await sendAll(storage);
    server.stumblesOver = null;
    await sendAll(storage);
    expect(values()).toEqual(['1']);
    expect(await storage.entries()).toEqual([]);
  });

  test('more than one batch goes in one round', async () => {
    for (let i = 0; i < 230; i += 1) await type(tess, String(i));
    await sendAll(storage);
    expect(values()).toEqual(Array.from({ length: 230 }, (_, i) => String(i)));
    expect(server.posts).toBe(3);
  });
});

test('ids are UUIDs of version 4 and differ', () => {
  const ids = Array.from({ length: 500 }, newId);
  for (const id of ids)
    expect(id).toMatch(/^[\da-f]{8}-[\da-f]{4}-4[\da-f]{3}-[89ab][\da-f]{3}-[\da-f]{12}$/);
  expect(new Set(ids).size).toBe(ids.length);
});
