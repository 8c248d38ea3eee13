import { expect, test } from '@jest/globals';
import { afterWords, startWords } from './startWords.ts';

test.each([
  [0, 'at once'],
  [45, 'after 45 s'],
  [180, 'after 3 min'],
  [200, 'after 3 min 20 s'],
])('%d s is “%s”', (seconds, words) => expect(afterWords(seconds)).toBe(words));

test('the earliest way stands first, each other single cause once, those of one moment together', () => {
  expect(
    startWords({
      output: 'compressor',
      under: 'as programmed',
      earliestSeconds: 180,
      by: ['powerOn', 'boxWarm'],
      ways: [
        { seconds: 180, by: ['boxWarm'] },
        { seconds: 180, by: ['coilWarm'] },
        { seconds: 200, by: ['probeOpens'] },
      ],
    }),
  ).toBe(
    'after 3 min if the box is warm or the coil is warm; after 3 min 20 s if the air probe’s lead is open',
  );
});
