import { expect, test } from '@jest/globals';
import type { Sample } from '@brine/core/machines/simulation';
import { eventWords, lanesOf, stretches } from './lanes.ts';

const sample = (t: number, more: Partial<Sample> = {}): Sample => ({
  t,
  air: 3,
  coil: -2,
  product: 3,
  frost: 0,
  compressor: false,
  fan: true,
  defrost: false,
  phase: 'regulate',
  stage2: false,
  alarm: false,
  door: false,
  ...more,
});

test('an output holds from its sample to the next, the last one to the end', () => {
  const series = [
    sample(0),
    sample(30, { compressor: true }),
    sample(60, { compressor: true }),
    sample(90),
    sample(120, { compressor: true }),
  ];
  expect(stretches(series, (s) => s.compressor, 150)).toEqual([
    { from: 30, to: 90 },
    { from: 120, to: 150 },
  ]);
  expect(lanesOf(series, 150).get('fan')).toEqual([{ from: 0, to: 150 }]);
});

test('defrost and drain are one lane', () => {
  const series = [sample(0), sample(30, { phase: 'defrost' }), sample(60, { phase: 'drain' }), sample(90)];
  expect(lanesOf(series, 120).get('defrost')).toEqual([{ from: 30, to: 90 }]);
});

test.each([
  [
    { t: 5, kind: 'held', value: 'minOffTime', numbers: { seconds: 143 } },
    'held 143 s by the minimum off time',
  ],
  [{ t: 5, kind: 'phase', value: 'drain', reason: 'temperature' }, 'drain: the coil was warm enough'],
  [{ t: 5, kind: 'phase', value: 'regulate', reason: 'drained' }, 'cools again: the drip time was over'],
  [{ t: 5, kind: 'alarm', value: true, reason: 'high' }, 'alarm: too warm for too long'],
  [{ t: 5, kind: 'fan', value: true }, null],
] as const)('%j in words', (event, words) => expect(eventWords(event)).toBe(words));
