import { expect, test } from '@jest/globals';
import { seenSoFar } from './seenSoFar.ts';
import type { WatchAnswer } from './watchMessages.ts';

const nothing: WatchAnswer = {
  at: 0,
  text: null,
  why: null,
  changed: null,
  lamps: [],
  corners: null,
  lampsAt: [],
};
const clock = (at: number) => at * 1000;
const shows = (at: number, text: string): WatchAnswer => ({ ...nothing, at, text });

test('a text and a lamp that come with one picture are each told to whoever waits for them, once', () => {
  const seen = seenSoFar(clock);
  seen.lamps.value = [{ id: 'a', name: 'compressor', is: 'off' }];
  const told: string[] = [];
  seen.onSight({ kind: 'text', text: 'DEF' }, (at) => told.push(`text ${at}`));
  seen.onSight({ kind: 'lamp', lamp: 'a', is: 'on' }, (at) => told.push(`lamp ${at}`));
  const callOff = seen.onSight({ kind: 'change' }, () => told.push('called off'));
  callOff();
  const both: WatchAnswer = {
    ...shows(5, 'DEF'),
    changed: { text: 'DEF', since: 4.5, plusMinus: 0.05 },
    lamps: [{ id: 'a', is: 'on', since: 4 }],
  };
  seen.take(both);
  seen.take({ ...both, at: 6 });
  expect(told).toEqual(['text 4500', 'lamp 4000']);
});

test('what stood there when watching began starts no stopwatch: nobody knows when it began', () => {
  const seen = seenSoFar(clock);
  seen.lamps.value = [{ id: 'a', name: 'lamp 1', is: 'notRead' }];
  const told: string[] = [];
  seen.onSight({ kind: 'change' }, () => told.push('text'));
  seen.onSight({ kind: 'lamp', lamp: 'a', is: 'on' }, () => told.push('lamp'));
  seen.take({
    ...shows(1, '3.8'),
    changed: { text: '3.8', since: 0.5, plusMinus: null },
    lamps: [{ id: 'a', is: 'on', since: 1 }],
  });
  expect(told).toEqual([]);
  expect(seen.lamps.value[0]!.is).toBe('on');
  expect(seen.texts.value).toEqual([{ text: '3.8', at: 500 }]);
});

test('the log takes a number every ten seconds, no words, and nothing while the menu is open', () => {
  const seen = seenSoFar(clock);
  for (let at = 0; at < 60; at += 1) {
    seen.inMenu.value = at >= 30 && at < 45;
    seen.take(shows(at, at === 20 ? 'DEF' : String(at)));
  }
  // By hand: 0, 10, then 21 after the word at 20, nothing of 31 to 44, 45, 55.
  expect(seen.rows.value.map(({ value }) => value)).toEqual([0, 10, 21, 45, 55]);
});
