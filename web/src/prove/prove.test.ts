import { describe, expect, test } from '@jest/globals';
import { isFileProblem } from '@brine/core/foundation/files';
import { judgeLog } from '@brine/core/logs/against';
import { readWholeLog } from '@brine/core/logs/reading';
import { inDays, inMonths } from '../shared/display/dates.ts';
import { figureLines } from './log/logWords.ts';
import { daysOf } from './log/daysOf.ts';
import { measuredRun } from '../shared/strip/measuredRun.ts';
import { readOhms, shownOhms } from './probes/ohms.ts';
import { readValue, shownRange, shownTime } from './run/testWords.ts';

describe('what is typed at the unit', () => {
  test.each([
    ['9.0k', 9000],
    ['9000', 9000],
    ['28,7 kΩ', 28700],
    ['1.2M', 1.2e6],
    ['102.6 ohm', 102.6],
    ['', null],
    ['-5', null],
    ['open', null],
  ])('%j ohms', (text, ohms) => expect(readOhms(text)).toBe(ohms));
  test('ohms for a person', () =>
    expect([9261.04, 28704, 102.6].map(shownOhms)).toEqual(['9261 Ω', '28.7 kΩ', '102.6 Ω']));

  test('values of a test in the reader’s degrees; ranges in words', () => {
    const cutOut = { unit: 'degC' as const, label: '', least: -24, most: -22 };
    expect(readValue(cutOut, '-9.4', 'degF')).toBeCloseTo(-23, 9);
    expect(readValue(cutOut, '-23C', 'degF')).toBe(-23);
    expect(readValue({ unit: 'A', label: '', least: 1, most: 2 }, '7.5 A', 'degF')).toBe(7.5);
    expect(readValue(cutOut, 'cold', 'degF')).toBeNull();
    // Times with their unit, or as a stopwatch shows them, whatever the measure counts in.
    const rest = { unit: 'min' as const, label: '', least: 2 + 50 / 60, most: null };
    expect([
      readValue(rest, '3:04', 'degF'),
      readValue(rest, '90 s', 'degF'),
      readValue(rest, '3', 'degF'),
    ]).toEqual([3 + 4 / 60, 1.5, 3]);
    expect(readValue({ unit: 's', label: '', least: null, most: 90 }, '1.5 min', 'degF')).toBe(90);
    expect([shownRange(rest, 'degF'), shownTime(45), shownTime(4800)]).toEqual([
      'at least 2:50 min',
      '45 s',
      '1 h 20 min',
    ]);
    expect(shownRange(cutOut, 'degF')).toBe('−11.2 °F to −7.6 °F');
    expect(shownRange({ unit: 'min', label: '', least: 3, most: null }, 'degF')).toBe('at least 3 min');
  });

  // Oracle: the calendar.
  test('days and months from a date', () => {
    const jan31 = new Date(2026, 0, 31, 12);
    expect([inDays(3, jan31), inMonths(1, jan31), inMonths(6, jan31)]).toEqual([
      '2026-02-03',
      '2026-02-28',
      '2026-07-31',
    ]);
  });
});

describe('a log on the page', () => {
  const rows = Array.from({ length: 2 * 1440 }, (_, m) => {
    const at = m % 45;
    return `${new Date(Date.UTC(2026, 3, 14, 6) + m * 60_000).toISOString().slice(0, 19)},${(at < 30 ? 2 + at / 10 : 5 - (at - 30) / 5).toFixed(1)},${at >= 30 ? 1 : 0}`;
  }).filter((_, m) => m < 300 || m > 400);
  const read = readWholeLog(`time,air_degC,compressor\n${rows.join('\n')}\n`);
  if (isFileProblem(read)) throw new Error(read.message);

  test('figures are in the reader’s degrees, each with how sure it is', () => {
    const { found } = judgeLog(read.log, null);
    const line = (unit: 'degC' | 'degF', name: string) =>
      figureLines(found, unit).find((l) => l.name === name)!;
    expect(line('degC', 'Cut-in').value).toMatch(/^[45](\.\d)? °C$/);
    expect(line('degF', 'Cut-in').value).toMatch(/^4[01](\.\d)? °F$/);
    expect(line('degF', 'Differential').value).toContain('dF');
    expect(line('degC', 'Cut-in').sure).toContain('starts');
    expect(line('degC', 'Starts an hour').value).toMatch(/^1\.3\d$/);
  });

  test('the strip holds the last reading, and leaves a long gap open', () => {
    const [first] = daysOf(read.log);
    expect(new Date(first! * 1000).toISOString()).toBe('2026-04-14T00:00:00.000Z');
    expect(daysOf(read.log).length).toBe(3);
    const { series } = measuredRun(read.log, first!, 86400, 60);
    expect(Number.isNaN(series[5 * 60]!.air)).toBe(true);
    expect(series[6 * 60]!.air).toBe(2);
    // Row 299 is the last before the gap of 101 min: held for half an hour, then open.
    expect(Number.isFinite(series[6 * 60 + 299 + 29]!.air)).toBe(true);
    expect(Number.isNaN(series[6 * 60 + 299 + 40]!.air)).toBe(true);
    expect(Number.isNaN(series[6 * 60]!.coil)).toBe(true);
  });
});
