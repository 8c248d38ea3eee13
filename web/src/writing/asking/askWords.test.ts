import { expect, test } from '@jest/globals';
import type { Asking, Outcome } from '@brine/core/judgement/asking';
import { lastsWords, savingView, trialView } from './askWords.ts';

const asking: Asking = {
  outcomes: [],
  seconds: 100,
  trial: {
    keyed: [{ code: 'p12', value: -1 }],
    acts: [
      { at: 0, does: { kind: 'air', bath: 'iceWater' } },
      { at: 60, does: { kind: 'air', bath: 'hand' } },
    ],
  },
  at: 70,
  by: ['compressor'],
};
const told = (of: Pick<Asking, 'at' | 'by'>, { sight: seen }: Pick<Outcome, 'sight'>) =>
  trialView({ ...asking, ...of, outcomes: [{ meanings: [0], sight: seen, then: null }] }).outcomes[0]!.words;
const sight = (...changes: readonly { t: number; on: boolean }[]): Pick<Outcome, 'sight'> => ({
  sight: {
    changes: {
      compressor: changes,
      defrost: [],
      fan: [],
      stage2: [],
      alarm: [],
      doorAlarm: [],
      inputAlarm: [],
    },
    reading: new Float32Array(120).fill(4.6),
  },
});

test('a trial is told step by step: off, probe, keyed, on, what comes later, what is watched until when', () => {
  const { steps } = trialView(asking);
  expect(steps[1]).toBe('Air probe into ice water, stirred.');
  expect(steps[2]).toContain('p12 to −1');
  expect(steps[4]).toBe('At 1:00: air probe into your hand.');
  expect(steps.at(-1)).toBe('Watch cooling until 1:27.');
});

test('what is seen is told with its times; seconds that nobody tells from none are at once', () => {
  expect(told(asking, sight())).toBe('Cooling: off all the time.');
  expect(told(asking, sight({ t: 1, on: true }, { t: 65, on: false }))).toBe(
    'Cooling: on at once, off at 1:05.',
  );
  expect(told({ at: 30, by: ['reading'] }, sight())).toBe('The display reads about 5.');
  expect(told(asking, sight({ t: 110, on: true }))).toBe('Cooling: off all the time.');
});

test.each([
  [20, '1 min'],
  [190, '3 min'],
  [9000, '2.5 h'],
])('%s seconds last %s', (seconds, words) => expect(lastsWords(seconds)).toBe(words));

test('whether a change needs saving: keyed, cut off before the menu is left, read again', () => {
  const { steps, outcomes } = savingView({
    code: 'sk02',
    from: 3,
    to: 4,
    strokes: ['Press SET once', 'Press ▲ once'],
    shows: [4, 3],
  });
  expect(steps).toEqual([
    'Press SET once.',
    'Press ▲ once.',
    'At once, before the menu is left, switch the supply off and on.',
    'Read sk02 again.',
  ]);
  expect(outcomes.map(({ words, meanings }) => [words, meanings])).toEqual([
    ['sk02 shows 4.', [0]],
    ['sk02 shows 3.', [1]],
  ]);
});
