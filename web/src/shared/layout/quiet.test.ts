import { afterEach, expect, jest, test } from '@jest/globals';
import { asRequest } from '../api/underWay.ts';
import { whenQuiet } from './quiet.ts';

afterEach(() => jest.useRealTimers());

test('a page is quiet a moment after its last request was answered, and not before', async () => {
  jest.useFakeTimers();
  let answer = () => {};
  const asked = asRequest(new Promise<void>((done) => (answer = done)));
  let quiet = false;
  void whenQuiet().then(() => (quiet = true));
  await jest.advanceTimersByTimeAsync(30_000);
  expect(quiet).toBe(false);
  answer();
  await asked;
  await jest.advanceTimersByTimeAsync(1000);
  expect(quiet).toBe(false);
  await jest.advanceTimersByTimeAsync(3000);
  expect(quiet).toBe(true);
});

test('a request that failed is over as well', async () => {
  jest.useFakeTimers();
  await expect(asRequest(Promise.reject(new Error('away')))).rejects.toThrow('away');
  let quiet = false;
  void whenQuiet().then(() => (quiet = true));
  await jest.advanceTimersByTimeAsync(4000);
  expect(quiet).toBe(true);
});
