import { beforeEach, expect, test } from '@jest/globals';
import { memoryStorage } from '../../../testing/memoryStorage.ts';
import { readWaiting, sendWaiting } from './useProgress.ts';

const run = (id: string) => ({
  id,
  definitionId: 'marl-4',
  family: 'Marl 4',
  drill: 'setValues' as const,
  passed: true,
  seconds: 9,
  strokes: 9,
  fewest: 9,
  hints: 0,
});
let sent: string[];
let answer: (id: string) => { status: number };
beforeEach(() => {
  sent = [];
  answer = () => ({ status: 201 });
  Object.assign(globalThis, {
    localStorage: memoryStorage(),
    fetch: async (_path: string, init: RequestInit) => {
      const { id } = JSON.parse(String(init.body)) as { id: string };
      const { status } = answer(id);
      if (status === 0) throw new TypeError('Failed to fetch');
      sent.push(id);
      return {
        ok: status < 400,
        status,
        json: async () => (status < 400 ? {} : { error: { code: 'x', message: 'x', problems: [] } }),
      };
    },
  });
  localStorage.setItem('brine-practice-waiting', JSON.stringify([run('a'), run('b'), run('c')]));
});

test('what waits is sent in order, once', async () => {
  await sendWaiting();
  expect([sent, readWaiting()]).toEqual([['a', 'b', 'c'], []]);
});

test('while the server is away it keeps waiting, from the one that failed on', async () => {
  answer = (id) => ({ status: id === 'b' ? 0 : 201 });
  await expect(sendWaiting()).rejects.toThrow('The server does not answer');
  expect(readWaiting().map((r) => r.id)).toEqual(['b', 'c']);
});

test('what is refused for good does not stand in the way of the rest', async () => {
  answer = (id) => ({ status: id === 'b' ? 400 : 201 });
  await sendWaiting();
  expect([sent, readWaiting()]).toEqual([['a', 'b', 'c'], []]);
});

test('a storage somebody spoilt is no reason to fail', () => {
  localStorage.setItem('brine-practice-waiting', '{');
  expect(readWaiting()).toEqual([]);
});
