import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { effectScope, type EffectScope } from 'vue';
import { machineOf } from '@brine/core/controllers/panel';
import type { Drill } from '@brine/core/practice/drills';
import { useLivePanel, type LivePanel } from './useLivePanel.ts';
import { useReplay } from './useReplay.ts';

const machine = machineOf(
  JSON.parse(
    readFileSync(new URL('../../../../demo/controllers/marl-4.controller.json', import.meta.url), 'utf8'),
  ),
)!;
let scope: EffectScope;
let live: LivePanel;
beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
  scope = effectScope();
  live = scope.run(() => useLivePanel(machine, new Map()))!;
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

const hold = (seconds: number, ...keys: string[]) => {
  for (const key of keys) live.keyDown(key);
  jest.advanceTimersByTime(seconds * 1000 + 100);
  for (const key of keys) live.keyUp(key);
};
const press = (key: string, times = 1) => {
  for (let i = 0; i < times; i += 1) {
    live.keyDown(key);
    live.keyUp(key);
  }
};

describe('keys in real time', () => {
  test('a press stays a press on a page that was busy between key down and key up', () => {
    live.keyDown('set', 1000);
    // Three seconds pass before the page hears that the key went up after 15 ms.
    jest.advanceTimersByTime(3000);
    live.keyUp('set', 1015);
    expect(live.strokes.value.at(-1)!.act).toMatchObject({ action: 'press', keys: ['set'] });
    live.keyDown('set', 5000);
    live.keyUp('set', 8000);
    expect(live.strokes.value.at(-1)!.act).toMatchObject({ action: 'hold', seconds: 3 });
  });

  test('two keys together for the right seconds open, for fewer they do not', () => {
    hold(3, 'up', 'down');
    expect(live.display.value).toBe('reading');
    hold(5, 'up', 'down');
    expect(live.display.value).toBe('0');
  });

  test('a key held in an edit repeats', () => {
    hold(5, 'up', 'down');
    press('up', 27);
    press('set');
    press('set');
    const before = Number(live.display.value);
    live.keyDown('up');
    jest.advanceTimersByTime(700 + 130 * 4 + 10);
    live.keyUp('up');
    // One at once, one after the pause, then one every 130 ms.
    expect(Number(live.display.value)).toBe(before + 1 + 1 + 4);
  });

  test('a menu closes by itself, and the strokes say when', () => {
    hold(5, 'up', 'down');
    press('up', 27);
    press('set');
    expect(live.display.value).toBe('hold');
    jest.advanceTimersByTime(61_000);
    expect(live.display.value).toBe('reading');
    expect(live.done.value.at(-1)).toMatchObject({ act: { action: 'wait' }, shows: 'reading' });
  });
});

test('a replay does the same strokes from the beginning, lets no key in between, and puts everything back', () => {
  hold(5, 'up', 'down');
  press('up', 27);
  press('set');
  const ended = live.state.value;
  const drill = { begins: new Map(), condition: ended.condition } as unknown as Drill;
  const replay = scope.run(() => useReplay(live))!;
  replay.play(drill, live.done.value);
  expect(live.display.value).toBe('reading');
  jest.advanceTimersByTime(600);
  expect(live.display.value).toBe('0');
  press('set');
  expect(live.display.value).toBe('0');
  jest.advanceTimersByTime(600 * 40);
  expect(replay.at.value).toBeNull();
  expect({ ...live.state.value, idle: 0 }).toEqual({ ...ended, idle: 0 });
  expect(live.display.value).toBe('hold');
});
