import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { effectScope, ref } from 'vue';
import { useDrawn } from './useDrawn.ts';

let pictures: FrameRequestCallback[] = [];
beforeEach(() => {
  jest.useFakeTimers();
  pictures = [];
  globalThis.requestAnimationFrame = (draw) => pictures.push(draw);
});
afterEach(() => jest.useRealTimers());

const soon = () => jest.advanceTimersByTimeAsync(1);

test('what comes later waits for the data, then for the picture, and stays', async () => {
  const ready = ref(false);
  const drawn = effectScope().run(() => useDrawn(() => ready.value))!;
  await soon();
  expect([drawn.value, pictures.length]).toEqual([false, 0]);
  ready.value = true;
  await soon();
  expect([drawn.value, pictures.length]).toEqual([false, 1]);
  pictures[0]!(0);
  await soon();
  expect(drawn.value).toBe(true);
  ready.value = false;
  await soon();
  expect(drawn.value).toBe(true);
});

test('a page that nobody looks at draws nothing, and goes on all the same', async () => {
  const drawn = effectScope().run(() => useDrawn(() => true))!;
  await soon();
  expect(drawn.value).toBe(false);
  await jest.advanceTimersByTimeAsync(200);
  expect([drawn.value, pictures.length]).toEqual([true, 1]);
});

test('what never stands holds up the rest for so long and no longer; a page that was left holds up nothing', async () => {
  const scope = effectScope();
  const drawn = scope.run(() => useDrawn(() => false, 3000))!;
  await jest.advanceTimersByTimeAsync(2999);
  expect([drawn.value, pictures.length]).toEqual([false, 0]);
  await jest.advanceTimersByTimeAsync(1);
  pictures[0]!(0);
  await soon();
  expect(drawn.value).toBe(true);

  const left = effectScope();
  left.run(() => useDrawn(() => false, 3000));
  left.stop();
  expect(jest.getTimerCount()).toBe(0);
});
