import 'fake-indexeddb/auto';
import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { FakeServer } from '../../../testing/fakeServer.ts';
import type { Noted } from './noted.ts';
import { useOutbox } from './outboxStore.ts';

globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));

const KEY = 'brine-noted';
const author = { id: 'person-tess', name: 'Tess' };
const noted = (id: string, value: string): Noted => ({
  id,
  author,
  job: 'job-1',
  seen: 0,
  body: { kind: 'found', code: 'Sn', value },
  at: '2026-03-01T08:00:00.000Z',
});

beforeEach(() => {
  const server = new FakeServer();
  server.mode = 'away';
  globalThis.fetch = server.fetch as typeof fetch;
  sessionStorage.clear();
  setActivePinia(createPinia());
});

// Oracle: by hand. What a page noted and did not get into the database comes first, once, with the id it had.
test('what the page before only noted is kept before what this one writes, and the note is gone', async () => {
  sessionStorage.setItem(KEY, JSON.stringify([noted('id-1', '-3'), noted('id-2', '-4')]));
  const outbox = useOutbox();
  expect(outbox.isRead).toBe(false);
  await Promise.all([
    outbox.add(author, 'job-1', 0, [{ kind: 'found', code: 'Sn', value: '-5' }]),
    outbox.start(),
  ]);
  expect(outbox.isRead).toBe(true);
  expect(outbox.entries.map(({ entry }) => [entry.id.slice(0, 4), entry.deviceSequence])).toEqual([
    ['id-1', 1],
    ['id-2', 2],
    [expect.any(String), 3],
  ]);
  expect(sessionStorage.getItem(KEY)).toBeNull();

  // The database had it already when the page went: it is kept once.
  sessionStorage.setItem(KEY, JSON.stringify([noted('id-1', '-3')]));
  setActivePinia(createPinia());
  const next = useOutbox();
  await next.start();
  expect(next.entries).toHaveLength(3);
});

test('it is noted before the database is asked', () => {
  void useOutbox().add(author, 'job-1', 0, [{ kind: 'found', code: 'Sn', value: '-5' }]);
  expect(JSON.parse(sessionStorage.getItem(KEY)!)).toMatchObject([{ job: 'job-1', body: { value: '-5' } }]);
});

test('a note that nobody can make an entry of gets in nobody’s way', async () => {
  sessionStorage.setItem(KEY, JSON.stringify([{ ...noted('id-9', '-3'), at: 'never' }]));
  const outbox = useOutbox();
  await outbox.start();
  expect(outbox.isRead).toBe(true);
});

// Oracle: by hand. Who is signed in is heard after the first round of sending.
test('a ticket outlives the start of a page, and goes once its author has signed out and nothing waits', async () => {
  const first = useOutbox();
  await first.start();
  await first.keepTicket({ ...author, login: 'tess', role: 'technician', demo: false }, 'ticket');
  for (const { entry } of [...first.entries]) await first.discard(entry.id);
  setActivePinia(createPinia());
  const next = useOutbox();
  await next.start();
  await next.send();
  expect(await next.hasTicket(author.id)).toBe(true);
  next.signedOut();
  await next.send();
  await next.send();
  expect(await next.hasTicket(author.id)).toBe(false);
});
