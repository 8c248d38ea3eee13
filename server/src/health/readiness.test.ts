import { expect, test } from '@jest/globals';
import { readinessOf } from './readiness.ts';

const MB = 1024 * 1024;
const writes = (takes: boolean) => {
  const seen = { asked: 0 };
  return { seen, takesWrites: async () => ((seen.asked += 1), takes) };
};

test('ready means that a write succeeded', async () => {
  expect(await readinessOf(writes(true), null)()).toEqual({ ready: true, why: null });
  expect(await readinessOf(writes(false), null)()).toEqual({
    ready: false,
    why: 'the database takes no writes',
  });
});

test('a disk that is nearly full is not ready, before PostgreSQL stumbles over it', async () => {
  const full = readinessOf(writes(true), '/data', async () => 12 * MB);
  expect(await full()).toEqual({ ready: false, why: '12 MB are left on the disk of the database' });
  expect((await readinessOf(writes(true), '/data', async () => 640 * MB)()).ready).toBe(true);
});

test('a folder that cannot be looked at leaves the answer to the write', async () => {
  const away = readinessOf(writes(true), '/nowhere', () => Promise.reject(new Error('ENOENT')));
  expect((await away()).ready).toBe(true);
});

test('an answer holds for a second, for everybody who asks', async () => {
  const database = writes(true);
  let clock = 0;
  const ask = readinessOf(database, null, undefined, () => clock);
  await Promise.all([ask(), ask(), ask()]);
  expect(database.seen.asked).toBe(1);
  clock = 1000;
  await ask();
  expect(database.seen.asked).toBe(2);
});
