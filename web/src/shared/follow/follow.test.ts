import { describe, expect, test } from '@jest/globals';
import { readWholeLog } from '@brine/core/logs/reading';
import type { FollowedPoint } from '@brine/core/judgement/following';
import { followedCsv, followedRun } from './followedFiles.ts';
import { measuredText } from './measuredWords.ts';

const began = Date.parse('2026-03-02T09:00:00Z') / 1000;
const points: readonly FollowedPoint[] = [
  { at: began, readings: { air: 3.5, coil: null, compressor: true, alarm: false } },
  { at: began + 1, readings: null },
  { at: began + 2, readings: { air: 3.4, coil: -1.2, compressor: false, alarm: false } },
];

describe('what a control told over its bus', () => {
  test('is a file that the reader of loggers’ files reads by itself', () => {
    const csv = followedCsv(points);
    const read = readWholeLog(csv);
    if ('problem' in read) throw new Error(String(read.message));
    expect([...read.log.values.air!]).toEqual([3.5, 3.4]);
    expect([...read.log.values.coil!]).toEqual([Number.NaN, -1.2]);
    expect([...read.log.values.compressor!]).toEqual([1, 0]);
    expect(read.log.time[1]! - read.log.time[0]!).toBe(2);
    expect(read.log.values.fan).toBeUndefined();
  });

  test('is drawn where it was told, and nowhere else', () => {
    const { series } = followedRun(points, began, 40, 1);
    expect(series.map(({ air }) => air).slice(0, 4)).toEqual([3.5, Number.NaN, 3.4, 3.4]);
    expect(series[0]).toMatchObject({ compressor: true, defrost: false });
    expect(series.at(-1)!.air).toBeNaN();
    const { series: running } = followedRun(points.slice(0, 1), began, 5, 1);
    expect(running.map(({ compressor }) => compressor)).toEqual([true, true, true, true, true, true, false]);
  });
});

describe('measured, in words', () => {
  test.each([
    [{ kind: 'drain', value: 242, plusMinus: 1 }, '4 min 02 s ± 1 s'],
    [{ kind: 'drain', value: 41.6, plusMinus: 0.5 }, '42 s ± 1 s'],
    [{ kind: 'rest', value: 3900, plusMinus: 2.5 }, '1 h 05 min ± 3 s'],
    [{ kind: 'cutOut', value: 0, plusMinus: 0.05 }, '32.0 °F ± 0.1'],
  ] as const)('%j', (measured, words) => expect(measuredText(measured, 'degF')).toBe(words));
});
