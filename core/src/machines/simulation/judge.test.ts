import { expect, test } from '@jest/globals';
import type { Figures } from './figures.ts';
import { judgeRun } from './judge.ts';

const sound: Figures = {
  hours: 24,
  cutIn: 4,
  cutOut: 2,
  air: { min: 2, mean: 3, max: 6 },
  product: { min: 2.5, mean: 3, max: 3.5 },
  startsPerHour: 3,
  dutyPercent: 55,
  shortestRunMinutes: 5,
  shortestRestMinutes: 5,
  heldSeconds: {},
  defrosts: { temperature: 4, time: 0, other: 0, skipped: 0 },
  longestDefrostMinutes: 20,
  defrostPercent: 5,
  iceAtEnd: 0.1,
  iceGrown: 0,
  iceLeftAfterDefrost: 0,
  waterLeftAfterDrain: 0.02,
  iceNoticed: 0.05,
  waterNoticed: 0.05,
  kWhPerDay: 10,
  alarms: {},
  minutesAbove: 0,
  minutesBelow: 0,
  minutesUntilOutside: null,
};
const limits = { min: 0, max: 5 };

test('a sound day has nothing against it', () => expect(judgeRun(sound, limits)).toEqual([]));

test.each<[Partial<Figures>, string]>([
  [{ product: { min: 3, mean: 5, max: 6.24 } }, 'the product reaches 6.2 °C, its limit is 5 °C'],
  [{ product: { min: -1.3, mean: 1, max: 2 } }, 'the product falls to −1.3 °C, its limit is 0 °C'],
  [{ iceGrown: 0.42 }, '420 g of ice grow over the run'],
  [{ iceLeftAfterDefrost: 0.3 }, '300 g of ice are left after a defrost'],
  [{ startsPerHour: 11.3 }, '11.3 starts an hour'],
  [{ alarms: { high: 2 } }, '2 high alarms in 24 h'],
  [{ dutyPercent: 100 }, 'it runs 100 % of the time'],
])('%j is said with its number', (change, sentence) => {
  const said = judgeRun({ ...sound, ...change }, limits);
  expect(said).toHaveLength(1);
  expect(said[0]).toContain(sentence);
});

test('without limits of the product none is called', () => {
  const warm = { ...sound, product: { min: -40, mean: 0, max: 40 } };
  expect(judgeRun(warm, { min: null, max: null })).toEqual([]);
});
