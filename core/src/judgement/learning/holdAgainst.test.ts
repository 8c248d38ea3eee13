import { describe, expect, test } from '@jest/globals';
import { otherBoxes } from '../../../testing/otherBoxes/boxes.ts';
import type { LoggedRow } from '../../../testing/otherBoxes/logCsv.ts';
import { runOther } from '../../../testing/otherBoxes/run.ts';
import { logOf } from '../../../testing/otherBoxes/tryBox.ts';
import { holdAgainst, standsOf, type HeldFigure, type Holding } from './holdAgainst.ts';

const freezer = otherBoxes.find((box) => box.name === 'walk-in freezer')!;
const { rows, figures } = runOther(freezer, freezer.settings, { days: 3, seed: 5 });
const columns = ['air', 'compressor', 'defrost'] as const;
const duty = figures.dutyPercent;

function held(of: readonly LoggedRow[], asked: Holding['figures']): readonly HeldFigure[] {
  const result = holdAgainst({ log: logOf(of, columns), values: freezer.settings, figures: asked });
  if ('because' in result) throw new Error(JSON.stringify(result));
  return result;
}

// Oracle: the box's own count of its run (testing/otherBoxes), made beside the log and not from it.
describe('a log against what was predicted', () => {
  test('measures what the box itself counted', () => {
    const [starts, running, defrost] = held(rows, [
      { figure: 'startsPerHour', value: 3, low: 1, high: 9 },
      { figure: 'dutyPercent', value: 50, low: 1, high: 99 },
      { figure: 'defrostMinutes', value: 15, low: 1, high: 40 },
    ]);
    expect(starts!.measured).toBeCloseTo(figures.startsPerHour, 0);
    expect(Math.abs(running!.measured - duty)).toBeLessThan(2);
    expect(Math.abs(defrost!.measured - figures.defrostMinutes!)).toBeLessThan(1.5);
  });

  // By definition: within the interval; within 5 points of the value outside of it; further away.
  test.each([
    ['inside', duty, duty - 3, duty + 3],
    ['near', duty + 4, duty + 2.5, duty + 6],
    ['off', duty + 20, duty + 15, duty + 25],
  ] as const)('says %s', (stands, value, low, high) => {
    expect(held(rows, [{ figure: 'dutyPercent', value, low, high }])[0]!.stands).toBe(stands);
  });

  // Four defrosts a day predicted, 3.97 counted in a log that begins between two: read as 4.0.
  test.each([
    ['defrostsPerDay', 3.97, 'inside'],
    ['defrostsPerDay', 3.9, 'near'],
  ] as const)('%s %d against 4 to 4 is %s', (figure, measured, stands) =>
    expect(standsOf({ figure, measured, value: 4, low: 4, high: 4 })).toBe(stands),
  );

  test('a log without one reading of the air says so', () => {
    const blind = rows.map((row) => ({ ...row, air: NaN }));
    expect(holdAgainst({ log: logOf(blind, columns), values: freezer.settings, figures: [] })).toEqual({
      because: [expect.objectContaining({ code: 'noAir' })],
    });
  });

  test('a unit that runs all the time contradicts what was said of its running', () => {
    const never = rows.map((row) => ({ ...row, compressor: 1, defrost: 0, air: -12 + 0.1 * (row.t % 2) }));
    const found = held(never, [
      { figure: 'dutyPercent', value: 60, low: 55, high: 65 },
      { figure: 'airMean', value: -19, low: -19.5, high: -18.5 },
      { figure: 'defrostMinutes', value: 15, low: 12, high: 18 },
    ]);
    expect(found.map(({ figure, stands }) => [figure, stands])).toEqual([
      ['dutyPercent', 'off'],
      ['airMean', 'off'],
    ]);
    expect(found[0]!.measured).toBe(100);
  });

  test('another unit’s log is not held against it', () => {
    const other = rows.map((row) => ({ ...row, air: row.air + 24 }));
    expect(holdAgainst({ log: logOf(other, columns), values: freezer.settings, figures: [] })).toEqual({
      because: [expect.objectContaining({ code: 'otherSettings' })],
    });
  });

  // Oracle: the mean of the rows themselves.
  test('what is older than the prediction is left out', () => {
    const warmer = rows.map((row) => (row.t < 86_400 ? { ...row, air: row.air + 1 } : row));
    const log = logOf(warmer, columns);
    const mean = (list: readonly LoggedRow[]) => list.reduce((sum, row) => sum + row.air, 0) / list.length;
    const asked: Holding['figures'] = [{ figure: 'airMean', value: -19, low: -20, high: -18 }];
    const found = holdAgainst({
      log,
      values: freezer.settings,
      figures: asked,
      since: log.time[0]! + 86_400,
    });
    const late = mean(rows.filter(({ t }) => t >= 86_400));
    expect(Math.abs((found as readonly HeldFigure[])[0]!.measured - late)).toBeLessThan(0.02);
    expect(
      holdAgainst({ log, values: freezer.settings, figures: asked, since: log.time.at(-1)! + 1 }),
    ).toEqual({
      because: [expect.objectContaining({ code: 'tooShort' })],
    });
  });
});
