import { expect, test } from '@jest/globals';
import type { Sample } from '@brine/core/machines/simulation';
import { clock, eventsNear, hourMark, markedHours, readingAt } from './stripReading.ts';

const sample = (t: number, more: Partial<Sample> = {}): Sample => ({
  t,
  air: 3,
  coil: -2,
  product: 4,
  frost: 0.0123,
  compressor: false,
  fan: false,
  defrost: false,
  phase: 'regulate',
  stage2: false,
  alarm: false,
  door: false,
  ...more,
});

test('a second as a clock shows it', () =>
  expect([0, 3661, 90_000].map(clock)).toEqual(['00:00', '01:01', 'd2 01:00']));

test('marks of the hours: one day ends at 24:00, a longer run names its days', () => {
  expect([0, 6, 24].map((hour) => hourMark(hour, 24))).toEqual(['00:00', '06:00', '24:00']);
  expect([0, 36, 48, 72].map((hour) => hourMark(hour, 72))).toEqual(['day 1', '12:00', 'day 3', 'end']);
});

test('the nearest sample, in the reader’s degrees, with what is on', () => {
  const series = [sample(0), sample(30, { compressor: true, fan: true, door: true }), sample(60)];
  expect(readingAt(series, 40, 'degC')).toBe(
    '00:00: air 3 °C, coil −2 °C, product 4 °C, ice 12 g; runs, fan, door open',
  );
  expect(readingAt(series, 0, 'degF')).toBe(
    '00:00: air 37.4 °F, coil 28.4 °F, product 39.2 °F, ice 12 g; all off',
  );
  expect(readingAt([], 5, 'degC')).toBe('');
});

test('what happened within five minutes, three at most', () => {
  const events = [0, 200, 400, 500, 550, 2000].map(
    (t) => ({ t, kind: 'compressor', value: true, reason: 'demand' }) as const,
  );
  expect(eventsNear(events, 450)).toEqual([
    '00:03 runs: the box called',
    '00:06 runs: the box called',
    '00:08 runs: the box called',
  ]);
});

// Oracle: the hours counted by hand; a mark every so-many hours, none outside the span.
test.each([
  [0, 24, 740, [0, 3, 6, 9, 12, 15, 18, 21, 24]],
  [0, 24, 300, [0, 6, 12, 18, 24]],
  [7.9, 9.1, 740, [8, 8.25, 8.5, 8.75, 9]],
  [0, 96, 740, [0, 12, 24, 36, 48, 60, 72, 84, 96]],
])('hours marked from %s to %s h on %s px', (from, to, width, marks) =>
  expect(markedHours(from * 3600, to * 3600, width)).toEqual(marks),
);
