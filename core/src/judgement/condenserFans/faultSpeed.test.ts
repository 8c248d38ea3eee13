import { describe, expect, test } from '@jest/globals';
import type { Log } from '../../logs/reading/index.ts';
import { faultSpeed, triedWords, type FaultSpeed } from './faultSpeed.ts';

const DAY = 86400;
const start = Date.UTC(2026, 5, 1) / 1000;

/** Seven days of ten-minute rows: the fans as a function of day and hour; compressor always on unless said. */
function week(
  percent: (day: number, hour: number) => number,
  compressor?: (day: number, hour: number) => number,
): Log {
  const n = 7 * 144 + 1;
  const time = Float64Array.from({ length: n }, (_, i) => start + i * 600);
  const at = (f: (day: number, hour: number) => number) =>
    Float64Array.from(time, (t) => f(Math.floor((t - start) / DAY), ((t - start) % DAY) / 3600));
  return {
    time,
    values: { fanPercent: at(percent), ...(compressor ? { compressor: at(compressor) } : {}) },
    clock: { kind: 'asWritten' },
  };
}
const told = (log: Log) => faultSpeed(log) as FaultSpeed;

describe('the speed to hold', () => {
  // Three afternoons at 80 % from 13:00 to 17:00, else 50 %: mean 50 + 30·12/168, closed form.
  const log = week(
    (day, hour) => (day < 3 && hour >= 13 && hour < 17 ? 80 : 50),
    () => 1,
  );

  test('the average of the week, by hand; day and night apart; percentiles', () => {
    const f = told(log);
    expect(f.mean).toBeCloseTo(50 + (30 * 12) / 168, 6);
    expect(f.day).toBeCloseTo(50 + (30 * 12) / (7 * 16), 6);
    expect(f.night).toBeCloseTo(50, 9);
    expect(f.percentiles).toEqual({ p10: 50, p50: 50, p90: 50, p95: 80 });
    expect(f.advised).toBe(55);
    expect(f.doubts).toEqual([]);
  });

  test('55 % would have been too little on 3 afternoons; 80 % would have been enough', () => {
    const { tried } = told(log);
    expect(triedWords(tried.find((t) => t.percent === 55)!)).toBe(
      '55 % would have been too little on 3 afternoons',
    );
    expect(triedWords(tried.find((t) => t.percent === 100)!)).toContain('enough all week');
    expect(tried.find((t) => t.percent === 55)!.moreThanNeeded).toBeCloseTo(1 - 12 / 168, 6);
  });

  test('a quarter of an hour does not count, an evening and a night are called so', () => {
    const short = week(
      (day, hour) =>
        day === 1 && hour >= 14 && hour < 14.3
          ? 90
          : day === 2 && hour >= 22
            ? 90
            : day === 4 && hour < 3
              ? 90
              : 40,
      () => 1,
    );
    const said = told(short).tried.find((t) => t.percent === 50)!;
    expect(said.tooLittle).toEqual({ night: 1, morning: 0, afternoon: 0, evening: 1 });
    expect(triedWords(said)).toBe('50 % would have been too little on 1 night and 1 evening');
  });

  test('off-cycles do not count where the log says when a compressor ran', () => {
    const resting = week(
      (_, hour) => (hour % 2 < 1 ? 60 : 0),
      (_, hour) => Number(hour % 2 < 1),
    );
    expect(told(resting).mean).toBeCloseTo(60, 9);
    expect(told(week((_, hour) => (hour % 2 < 1 ? 60 : 0))).mean).toBeCloseTo(30, 1);
    expect(told(week(() => 30)).doubts.join()).toContain('off-cycles count too');
  });

  test('gaps are left out and named, a short log is doubted', () => {
    const log2 = week(
      () => 50,
      () => 1,
    );
    const keep = (a: Float64Array) => Float64Array.from([...a.slice(0, 300), ...a.slice(500, 600)]);
    const cut: Log = {
      ...log2,
      time: keep(log2.time),
      values: { fanPercent: keep(log2.values.fanPercent!), compressor: keep(log2.values.compressor!) },
    };
    const f = told(cut);
    expect(f.gapHours).toBeCloseTo((201 * 600) / 3600, 6);
    expect(f.doubts.some((d) => d.includes('4.2 days'))).toBe(true);
    expect(f.doubts.some((d) => d.includes('gaps'))).toBe(true);
  });

  test('what cannot be told is a sentence', () => {
    expect(faultSpeed({ ...log, values: {} })).toContain('fan_percent');
    expect(
      faultSpeed(
        week(
          () => 50,
          () => 0,
        ),
      ),
    ).toContain('No compressor runs');
    expect(faultSpeed(week(() => Number.NaN))).toContain('empty');
  });
});
