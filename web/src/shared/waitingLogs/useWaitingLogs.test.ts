import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope } from 'vue';
import type { LogLayout } from '@brine/core/logs/reading';
import type { LogStorage, WaitingLog } from './logStorage.ts';
import { useWaitingLogs } from './useWaitingLogs.ts';

/** A store that lives as long as the test. */
function inMemory(): LogStorage {
  const kept = new Map<string, WaitingLog>();
  return {
    keep: async (log) => void kept.set(log.id, log),
    read: async (id) => kept.get(id),
    all: async () => [...kept.values()],
    ofJob: async (job) => [...kept.values()].filter((log) => log.job === job),
    remove: async (id) => void kept.delete(id),
  };
}
const log = (id: string, job = 'job-1'): WaitingLog => ({
  id,
  job,
  name: `${id}.csv`,
  layout: {} as LogLayout,
  file: new Blob(['time,air\n0,1\n']),
});
type Answer = { readonly ok: boolean; readonly status: number; readonly json?: unknown } | 'away';
let answer: Answer = 'away';
let asked: string[] = [];
let scope: ReturnType<typeof effectScope>;

beforeEach(() => {
  jest.useFakeTimers();
  asked = [];
  answer = 'away';
  scope = effectScope();
  globalThis.fetch = (async (address: string) => {
    asked.push(address);
    if (answer === 'away') throw new TypeError('no answer');
    return { ...answer, json: async () => (answer as { json?: unknown }).json ?? null };
  }) as unknown as typeof fetch;
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});
const used = (storage: LogStorage) => scope.run(() => useWaitingLogs('job-1', () => storage))!;
const settled = () => jest.advanceTimersByTimeAsync(0);

describe('a logger’s file while the server is away', () => {
  test('stays on the device, is sent when it answers, and is then gone from it', async () => {
    const storage = inMemory();
    const logs = used(storage);
    await logs.handOver(log('a'));
    expect([...logs.waiting.value]).toEqual(['a']);
    expect(await logs.read('a')).toMatchObject({ name: 'a.csv' });
    answer = { ok: true, status: 201 };
    await jest.advanceTimersByTimeAsync(8001);
    expect([...logs.waiting.value]).toEqual([]);
    expect(await storage.ofJob('job-1')).toEqual([]);
    expect(asked.at(-1)).toContain('/api/jobs/job-1/logs/a?name=a.csv');
  });

  test('one that is taken at once never lies on the device', async () => {
    answer = { ok: true, status: 201 };
    const storage = inMemory();
    await used(storage).handOver(log('a'));
    expect(await storage.ofJob('job-1')).toEqual([]);
  });

  test('a busy server is one that is away; one that refuses says why, and nothing is kept', async () => {
    const logs = used(inMemory());
    answer = { ok: false, status: 503 };
    await logs.handOver(log('a'));
    expect([...logs.waiting.value]).toEqual(['a']);
    answer = { ok: false, status: 400, json: { error: { message: 'layout: expected a time column' } } };
    await expect(logs.handOver(log('b'))).rejects.toThrow('expected a time column');
    expect([...logs.waiting.value]).toEqual(['a']);
  });

  test('what waits from an earlier visit is sent; a refused one stays and is told, the others go', async () => {
    const storage = inMemory();
    await storage.keep(log('a'));
    await storage.keep(log('b'));
    await storage.keep(log('c', 'job-2'));
    let first = true;
    globalThis.fetch = (async () => {
      const refused = first;
      first = false;
      return refused
        ? { ok: false, status: 400, json: async () => ({ error: { message: 'too many logs' } }) }
        : { ok: true, status: 201, json: async () => null };
    }) as unknown as typeof fetch;
    const logs = used(storage);
    await settled();
    expect([...logs.waiting.value]).toEqual(['a']);
    expect(logs.problem.value).toBe('a.csv stays on this device: too many logs');
    expect(await storage.ofJob('job-2')).toHaveLength(1);
  });
});
