import { describe, expect, test } from '@jest/globals';
import { learnUnit } from '../src/judgement/learning/index.ts';
import { unitScenario } from '../src/judgement/tuning/index.ts';
import { inWords } from '../src/foundation/sentences/index.ts';
import { courseOf } from '../src/logs/course/index.ts';
import { identify, parameters } from '../src/machines/identification/index.ts';
import type { Scenario } from '../src/machines/simulation/index.ts';
import { otherBoxes } from '../testing/otherBoxes/boxes.ts';
import { runOther } from '../testing/otherBoxes/run.ts';
import { logOf, tryBox, widest } from '../testing/otherBoxes/tryBox.ts';
import { drawTruth, ownLog } from '../testing/ownLog.ts';
import { median } from '../src/foundation/statistics/index.ts';

const boxCalled = (name: string) => otherBoxes.find((box) => box.name === name)!;
const freezer = boxCalled('walk-in freezer');

// Oracle: boxes by other equations (testing/otherBoxes), run under the changed settings on other days. All eight stand in docs/identification.md; two here.
describe('a box that is built otherwise', () => {
  const tried = [freezer, boxCalled('pharmacy')].flatMap((box) => tryBox(box));

  test('is predicted within what is wanted: 85 % of the figures near, 65 % inside of their interval', () => {
    expect(tried.length).toBeGreaterThanOrEqual(18);
    expect(tried.filter((f) => f.near).length / tried.length).toBeGreaterThanOrEqual(0.85);
    expect(tried.filter((f) => f.inside).length / tried.length).toBeGreaterThanOrEqual(0.65);
  });

  // All eight are held to the median wanted (1) in docs/identification.md; two may be a little above.
  test('with intervals that are worth reading', () => {
    for (const figure of Object.keys(widest) as (keyof typeof widest)[]) {
      const of = tried.filter((f) => f.figure === figure);
      const share = median(of.map((f) => (f.high - f.low) / widest[figure](f.value)));
      expect([figure, share > 0, share < 1.25]).toEqual([figure, true, true]);
    }
  });
});

// Oracle: the model's own box at values that are known; `npm run bench -- --learned` tries a hundred.
test('values of a box of its own are found within their errors', () => {
  const scenario = unitScenario(freezer.unit, freezer.settings, { hours: 24, warmUpHours: 24 }) as Scenario;
  const n = parameters.length;
  const inside = [1, 8, 12].flatMap((seed) => {
    const truth = drawTruth(seed);
    const rows = ownLog(scenario, truth, { days: 3, every: 60, seed });
    const { course } = courseOf(
      logOf(rows, ['air', 'coil', 'compressor', 'defrost', 'fan']),
      freezer.settings,
    );
    const { at, covariance } = identify({ course: course!, scenario })!;
    return parameters.map((_, i) => Math.abs(at[i]! - truth[i]!) < 1.645 * Math.sqrt(covariance[i * n + i]!));
  });
  // Of 60 with a chance of 0.9 each, fewer than 45 come once in ten thousand (binomial).
  expect(inside.filter(Boolean).length).toBeGreaterThanOrEqual(45);
});

describe('a log that cannot be learned from says so', () => {
  const { rows } = runOther(freezer, freezer.settings, { days: 3, seed: 5 });
  const learn = (of: typeof rows, columns = freezer.columns, values = freezer.settings) => {
    const learning = learnUnit({ log: logOf(of, columns), unit: freezer.unit, values });
    if (learning === null || typeof learning === 'string') throw new Error(String(learning));
    return learning.box
      ? { box: true, codes: learning.box.findings.map((f) => f.code), words: '' }
      : {
          box: false,
          codes: learning.because.map((f) => f.code),
          words: learning.because.map((f) => inWords(f.message)).join(' '),
        };
  };

  test('too short', () =>
    expect(learn(rows.slice(0, 600))).toMatchObject({ box: false, codes: ['tooShort'] }));

  test('nothing switches', () =>
    expect(learn(rows.map((row) => ({ ...row, compressor: 1, defrost: 0 })))).toMatchObject({
      box: false,
      codes: ['nothingSwitches'],
      words: expect.stringContaining('never stopped'),
    }));

  test('of another unit, whose air is elsewhere', () =>
    expect(learn(rows.map((row) => ({ ...row, air: row.air + 24 })))).toMatchObject({
      box: false,
      codes: ['otherSettings'],
      words: expect.stringContaining('another unit’s log'),
    }));

  test('with a gap in it: the longer part is learned from, and the gap is told', () => {
    const holed = rows.filter(({ t }) => t < 20 * 3600 || t > 30 * 3600);
    expect(learn(holed)).toMatchObject({ box: true, codes: expect.arrayContaining(['gap']) });
  });

  test('of rows that are too far apart: the model says that it strays', () =>
    expect(learn(rows.filter((_, i) => i % 12 === 0)).codes).toContain('poorFit'));
});

describe('settings that were changed in the middle', () => {
  const warmer = { ...freezer.settings, 'regulation.setpoint': { value: -18, unit: 'degC' } as const };
  const first = runOther(freezer, freezer.settings, { days: 1, seed: 6 }).rows;
  const then = runOther(freezer, warmer, { days: 2, seed: 7 }).rows;
  const log = logOf([...first, ...then.map((row) => ({ ...row, t: row.t + 86_400 }))], freezer.columns);

  // Each part is learned from where the settings are its own; 48 h and 24 h by how the log was made.
  test.each([
    ['those of the later part', warmer, 48],
    ['those of the earlier part', freezer.settings, 24],
  ])('%s: it alone is learned from, and it is told', (_, values, hours) => {
    const learning = learnUnit({ log, unit: freezer.unit, values });
    if (learning === null || typeof learning === 'string' || !learning.box)
      throw new Error('nothing learned');
    expect(Math.abs(learning.box.hours! - hours)).toBeLessThan(1.5);
    expect(learning.box.findings.map((f) => f.code)).toContain('changed');
  });
});

test('can be stopped', () => {
  const { rows } = runOther(freezer, freezer.settings, { days: 1, seed: 5 });
  const log = logOf(rows, freezer.columns);
  expect(learnUnit({ log, unit: freezer.unit, values: freezer.settings, progress: () => false })).toBeNull();
});
