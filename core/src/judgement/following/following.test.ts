import { describe, expect, test } from '@jest/globals';
import { controlConfig } from '../../machines/box/index.ts';
import { settingsOfCodes, type CodeValues } from '../../controllers/definitions/index.ts';
import { noTroubles, StandInDevice } from '../../practice/standIn/index.ts';
import { family } from '../../../testing/families.ts';
import type { CommissioningTest } from '../commissioning/index.ts';
import { answersOf, measuredFrom, type FollowedPoint, type Readings } from './index.ts';

/** Points every second: what changes is said, the rest stays. */
function course(
  seconds: number,
  changes: Readonly<Record<number, Readings | 'silent' | 'back'>>,
): readonly FollowedPoint[] {
  let [readings, silent]: [Readings, boolean] = [
    { air: 3, coil: -5, compressor: false, fan: false, defrost: false },
    false,
  ];
  return Array.from({ length: seconds }, (_, at) => {
    const change = changes[at];
    if (change === 'silent') silent = true;
    else if (change === 'back') silent = false;
    else if (change) readings = { ...readings, ...change };
    return { at, readings: silent ? null : readings };
  });
}
const of = (points: readonly FollowedPoint[], kind: string) =>
  measuredFrom(points)
    .filter((one) => one.kind === kind)
    .map(({ value, plusMinus }) => [value, plusMinus]);

describe('measured by itself, a course written down by hand', () => {
  const points = course(2000, {
    100: { compressor: true, fan: true, air: 4 },
    400: { compressor: false, air: 2 },
    700: { compressor: true, air: 4 },
    900: { compressor: false, fan: false },
    902: { defrost: true },
    1500: { defrost: false, coil: 9 },
    1620: { compressor: true, coil: 2 },
    1680: { fan: true, coil: -2 },
  });
  test('rest, run, cut-out and cut-in; the stop before a defrost is no cut-out, the start after it no cut-in', () => {
    expect(of(points, 'rest')).toEqual([[300, 1]]);
    expect(of(points, 'run')).toEqual([[300, 1]]);
    expect(of(points, 'cutOut')).toEqual([[3, 1.05]]);
    expect(of(points, 'cutIn')).toEqual([[3, 1.05]]);
  });
  test('the defrost, its end, drain and fans', () => {
    expect(of(points, 'defrost')).toEqual([[598, 1]]);
    expect(of(points, 'defrostEnd')).toEqual([[2, 7.05]]);
    expect(of(points, 'drain')).toEqual([[120, 1]]);
    expect(of(points, 'fanDelay')).toEqual([[60, 1]]);
    expect(of(points, 'fanCoil')).toEqual([[0, 2.05]]);
  });
  test('what happened while it was silent is not measured; from then on to the start is the delay after power', () => {
    const cut = course(1000, {
      100: { compressor: true },
      300: 'silent',
      310: 'back',
      311: { compressor: true },
    }).map((point) =>
      point.at >= 310 && point.at < 490 && point.readings
        ? { ...point, readings: { ...point.readings, compressor: false } }
        : point,
    );
    expect(of(cut, 'rest')).toEqual([]);
    expect(of(cut, 'run')).toEqual([]);
    // Power came back between the last answer at 299 and the next at 310; it starts between 489 and 490.
    expect(of(cut, 'powerDelay')).toEqual([[489.5 - 304.5, 5.5 + 0.5]]);
  });
  test('an answer that was lost once is no power cut', () => {
    const lost = course(400, {
      100: { compressor: true },
      150: 'silent',
      152: 'back',
      200: { compressor: false },
    });
    expect(of(lost, 'powerDelay')).toEqual([]);
    expect(of(lost, 'run')).toEqual([[100, 1]]);
  });
});

describe('a control machine that is followed', () => {
  const skerry = family('skerry-dx');
  // A freezer with electric defrost, ended by its coil.
  const given: CodeValues = new Map<string, string | number>([
    ['t1', -18],
    ['i1', 1],
    ['i4', 0],
  ]);
  /** A unit that runs for some hours, looked at every so many seconds. */
  function followed(hours: number, every: number) {
    const device = new StandInDevice(skerry, given, noTroubles);
    const config = controlConfig(settingsOfCodes(skerry, device.memory));
    if (typeof config === 'string') throw new Error(config);
    const points: FollowedPoint[] = [];
    for (let at = 0; at < hours * 3600; at += every) {
      points.push({ at, readings: device.readings });
      device.pass(every);
    }
    return { measured: measuredFrom(points), config };
  }

  // The oracle is what the control was set to: the machine was tested against its own description.
  test.each([1, 5])('every %d s: drain and rest are those it was set to, within what is known', (every) => {
    const { measured, config } = followed(14, every);
    const all = (kind: string) => measured.filter((one) => one.kind === kind);
    expect(all('defrost').length).toBeGreaterThanOrEqual(1);
    expect(all('rest').length).toBeGreaterThan(5);
    for (const { value, plusMinus } of all('rest'))
      expect(value + plusMinus).toBeGreaterThanOrEqual(config.compressor.minOff);
    for (const { value, plusMinus } of all('drain'))
      expect(Math.abs(value - config.defrost.drain)).toBeLessThanOrEqual(plusMinus + 1);
    for (const { value, plusMinus } of all('defrost'))
      expect(value - plusMinus).toBeLessThanOrEqual(config.defrost.maxDuration + 1);
    for (const one of measured) expect(one.plusMinus).toBeLessThan(every * 2 + 1);
  });
});

describe('held against tests', () => {
  const rest: CommissioningTest = {
    id: 'regulation.rest',
    group: 'regulation',
    title: '',
    why: '',
    how: [],
    expect: '',
    measure: { unit: 'min', label: 'rest', least: 3, most: null },
    wait: null,
    caution: null,
  };
  const one = (value: number, plusMinus = 1, at = 0) => ({ kind: 'rest', value, plusMinus, at }) as const;
  test.each([
    [200, 1, 'passed'],
    [150, 1, 'failed'],
    [180.5, 1, null],
  ])('%d s ± %d of at least 3 min: %s', (value, plusMinus, result) => {
    expect(answersOf([rest], [one(value, plusMinus)])).toEqual([
      { test: 'regulation.rest', value: value / 60, plusMinus: plusMinus / 60, at: 0, result },
    ]);
  });
  test('of many rests the shortest decides', () => {
    expect(answersOf([rest], [one(400), one(100, 1, 5), one(500)])).toMatchObject([
      { at: 5, result: 'failed' },
    ]);
  });
  test('a test that no bus can answer, or of which nothing was measured, is left alone', () => {
    expect(answersOf([{ ...rest, id: 'users.lock' }], [one(400)])).toEqual([]);
    expect(answersOf([rest], [])).toEqual([]);
    expect(answersOf([{ ...rest, measure: null }], [one(400)])).toEqual([]);
  });
});
