import { expect, test } from '@jest/globals';
import { CalledOff, corePool, type PoolWorker } from './corePool.ts';

/** Workers that answer when told to. */
function bench(size: number) {
  const made: (PoolWorker & { asked: number[]; ended: boolean })[] = [];
  const pool = corePool(size, () => {
    const worker = {
      onmessage: null as PoolWorker['onmessage'],
      onerror: null as PoolWorker['onerror'],
      asked: [] as number[],
      ended: false,
      postMessage: (m: { readonly id: number }) => void worker.asked.push(m.id),
      terminate: () => void (worker.ended = true),
    };
    made.push(worker);
    return worker;
  });
  const answer = (worker: number, result: unknown) =>
    made[worker]!.onmessage!({ data: { id: made[worker]!.asked.at(-1)!, result } });
  return { pool, made, answer };
}
const log = (text: string) => ({ text, config: {} as never });

test('jobs go to the first free worker, no more at once than there are workers', async () => {
  const { pool, made, answer } = bench(2);
  const jobs = [1, 2, 3].map((n) => pool.run('replay', log(String(n))));
  expect(made.map((w) => w.asked.length)).toEqual([1, 1]);
  answer(1, 'two');
  expect(made.map((w) => w.asked.length)).toEqual([1, 2]);
  answer(0, 'one');
  answer(1, 'three');
  expect(await Promise.all(jobs)).toEqual(['one', 'two', 'three']);
  expect(made).toHaveLength(2);
});

test('a job called off under way takes its worker along; one that waits is dropped', async () => {
  const { pool, made, answer } = bench(1);
  const off = new AbortController();
  const first = pool.run('replay', log('a'), { signal: off.signal });
  const second = pool.run('replay', log('b'), { signal: off.signal });
  const third = pool.run('replay', log('c'));
  off.abort();
  await expect(first).rejects.toBeInstanceOf(CalledOff);
  await expect(second).rejects.toBeInstanceOf(CalledOff);
  expect(made.map((w) => w.ended)).toEqual([true, false]);
  answer(1, 'c');
  expect(await third).toBe('c');
});

test('a short job called off ends unheard, and its worker goes on to the next', async () => {
  const { pool, made, answer } = bench(1);
  const off = new AbortController();
  const first = pool.run('replay', log('a'), { signal: off.signal, letFinish: true });
  const second = pool.run('replay', log('b'));
  off.abort();
  await expect(first).rejects.toBeInstanceOf(CalledOff);
  expect(made.map((w) => [w.ended, w.asked.length])).toEqual([[false, 1]]);
  answer(0, 'a');
  answer(0, 'b');
  expect(await second).toBe('b');
  expect(made).toHaveLength(1);
});

test('a share is told to whom it belongs, a problem is an error with its sentence', async () => {
  const { pool, made } = bench(1);
  const shares: number[] = [];
  const job = pool.run('replay', log('a'), { share: (s) => void shares.push(s) });
  made[0]!.onmessage!({ data: { id: 1, share: 0.5 } });
  made[0]!.onmessage!({ data: { id: 1, problem: 'line 3: no time' } });
  await expect(job).rejects.toThrow('line 3: no time');
  expect(shares).toEqual([0.5]);
});
