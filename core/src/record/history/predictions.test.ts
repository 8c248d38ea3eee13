import { expect, test } from '@jest/globals';
import { predictionScore, scoreWords, type Held } from './predictions.ts';

const held = (log: string, ...measured: readonly number[]): Held => ({
  kind: 'heldAgainst',
  log,
  name: `${log}.csv`,
  predictedAt: '2026-03-01T08:00:00Z',
  figures: measured.map((is) => ({ figure: 'dutyPercent', measured: is, value: 60, low: 58, high: 62 })),
});

// Oracle: counted by hand. 58 to 62 is inside, within 5 points of 60 close, 70 elsewhere.
test('logs are counted once, by their latest word', () => {
  const score = predictionScore([held('a', 70), held('a', 60, 61), held('b', 64, 62), held('c', 70, 60)]);
  expect(score).toEqual({ logs: 3, came: 2, figures: 6, inside: 4 });
  expect(scoreWords(score)).toBe(
    '3 logs were held against what was predicted: 2 came as predicted. 4 of 6 figures lay inside of their range (67 %; 80 % is what a range promises).',
  );
});

test('one log, and none', () => {
  expect(scoreWords(predictionScore([held('a', 60)]))).toContain(
    'One log was held against what was predicted: it came',
  );
  expect(scoreWords(predictionScore([]))).toBe('');
});
