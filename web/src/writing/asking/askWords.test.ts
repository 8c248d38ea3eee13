import { expect, test } from '@jest/globals';
import type { Asking, Outcome } from '@brine/core/judgement/asking';
import { lastsWords, outcomeWords, trialSteps } from './askWords.ts';

const asking: Pick<Asking, 'trial' | 'at' | 'by'> = {
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
  const steps = trialSteps(asking);
  expect(steps[1]).toBe('Air probe into ice water, stirred.');
  expect(steps[2]).toContain('p12 to −1');
  expect(steps[4]).toBe('At 1:00: air probe into your hand.');
  expect(steps.at(-1)).toBe('Watch cooling until 1:27.');
});

test('what is seen is told with its times; seconds that nobody tells from none are at once', () => {
  expect(outcomeWords(asking, sight())).toBe('Cooling: off all the time.');
  expect(outcomeWords(asking, sight({ t: 1, on: true }, { t: 65, on: false }))).toBe(
    'Cooling: on at once, off at 1:05.',
  );
  expect(outcomeWords({ at: 30, by: ['reading'] }, sight())).toBe('The display reads about 5.');
  expect(outcomeWords(asking, sight({ t: 110, on: true }))).toBe('Cooling: off all the time.');
});

test.each([
  [20, '1 min'],
  [190, '3 min'],
  [9000, '2.5 h'],
])('%s seconds last %s', (seconds, words) => expect(lastsWords(seconds)).toBe(words));
