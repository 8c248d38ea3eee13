import { describe, expect, test } from '@jest/globals';
import { isFileProblem } from '../../foundation/files/index.ts';
import { generatedLog, type Recipe } from '../../../testing/generatedLogs.ts';
import { analyse } from './analyse.ts';
import { readWholeLog } from '../reading/index.ts';
import type { Analysis } from './analysis.ts';

const analysed = (csv: string): Analysis => {
  const read = readWholeLog(csv);
  if (isFileProblem(read)) throw new Error(`${read.field}: ${read.message}`);
  return analyse(read.log);
};

const electric = (columns: readonly ('coil' | 'defrost')[]) => ({
  every: 6 * 3600,
  rate: 0.04,
  end: 12,
  most: 1500,
  drain: 300,
  columns,
});
const freezer = { cutOut: -21, cutIn: -18.5, ambient: 22, pull: 58, tau: 6 * 3600 };
const cooler = { cutOut: 2.5, cutIn: 4.5, ambient: 20, pull: 32, tau: 3 * 3600 };

/** Ten logs over every length of step from 1 to 10 min, with and without noise, gaps, compressor and coil columns. */
const recipes: readonly Recipe[] = [
  { name: 'cooler, 1 min', seed: 1, days: 3, every: 60, ...cooler },
  { name: 'cooler, 1 min, noise', seed: 2, days: 3, every: 60, noise: 0.15, ...cooler },
  { name: 'cooler, 2 min, noise and gaps', seed: 3, days: 5, every: 120, noise: 0.1, gaps: 0.1, ...cooler },
  {
    name: 'cooler without compressor column, 1 min, noise',
    seed: 4,
    days: 3,
    every: 60,
    noise: 0.08,
    compressorColumn: false,
    ...cooler,
  },
  {
    name: 'cooler without compressor column, 3 min',
    seed: 5,
    days: 4,
    every: 180,
    compressorColumn: false,
    ...cooler,
  },
  {
    name: 'freezer, coil and defrost columns, 1 min, noise',
    seed: 6,
    days: 4,
    every: 60,
    noise: 0.1,
    ...freezer,
    defrost: electric(['coil', 'defrost']),
  },
  {
    name: 'freezer, coil column only, 2 min, noise',
    seed: 7,
    days: 4,
    every: 120,
    noise: 0.1,
    ...freezer,
    defrost: electric(['coil']),
  },
  {
    name: 'freezer, defrosts cut off by time, coil column, 1 min',
    seed: 8,
    days: 4,
    every: 60,
    noise: 0.05,
    ...freezer,
    defrost: { ...electric(['coil']), most: 900 },
  },
  {
    name: 'freezer, 5 min, gaps',
    seed: 9,
    days: 7,
    every: 300,
    noise: 0.1,
    gaps: 0.08,
    ...freezer,
    defrost: { ...electric(['coil', 'defrost']), rate: 0.02, most: 3600 },
  },
  {
    name: 'slow cold room, 10 min, noise',
    seed: 10,
    days: 10,
    every: 600,
    noise: 0.1,
    cutOut: 1,
    cutIn: 4,
    ambient: 18,
    pull: 26,
    tau: 12 * 3600,
  },
];

describe('ten generated logs are recovered', () => {
  // Oracle: what the generator did, second by second; tolerances as asked: 0.3 K, 5 %, defrosts all.
  test.each(recipes)('$name', (recipe) => {
    const { csv, truth } = generatedLog(recipe);
    expect(truth.rowsPerCycle).toBeGreaterThanOrEqual(6);
    const found = analysed(csv);
    expect(found.tooCoarse).toBeNull();
    expect(Math.abs(found.cutIn! - truth.cutIn)).toBeLessThan(0.3);
    expect(Math.abs(found.cutOut! - truth.cutOut)).toBeLessThan(0.3);
    expect(Math.abs(found.differential! - (truth.cutIn - truth.cutOut))).toBeLessThan(0.3);
    expect(Math.abs(found.startsPerHour! / truth.startsPerHour - 1)).toBeLessThan(0.05);
    expect(Math.abs(found.dutyPercent! / truth.dutyPercent - 1)).toBeLessThan(0.05);
    expect(found.gaps.length).toBe(truth.gaps);
    if (!recipe.defrost) {
      expect(found.defrosts).toEqual([]);
      return;
    }
    expect(found.defrosts.map((d) => d.endedBy)).toEqual(truth.defrosts.map((d) => d.endedBy));
    found.defrosts.forEach((d, i) => {
      expect(Math.abs(d.start - truth.defrosts[i]!.start)).toBeLessThanOrEqual(recipe.every);
      expect(Math.abs(d.end - truth.defrosts[i]!.end)).toBeLessThanOrEqual(2 * recipe.every);
    });
    expect(found.defrostIntervalHours).toBeCloseTo(6, 1);
  });

  test('some end by temperature and some by time, so that the verdict can fail', () => {
    const ends = recipes
      .filter((r) => r.defrost)
      .flatMap((r) => generatedLog(r).truth.defrosts.map((d) => d.endedBy));
    expect(ends.filter((e) => e === 'temperature').length).toBeGreaterThan(10);
    expect(ends.filter((e) => e === 'time').length).toBeGreaterThan(5);
  });
});

describe('what rows cannot tell is null', () => {
  const fast = { cutOut: 2.5, cutIn: 3.5, ambient: 22, pull: 38, tau: 3000 };

  test.each([
    ['with a compressor column', { every: 300 }],
    ['without', { every: 120, compressorColumn: false }],
  ])('cycles shorter than six rows are too coarse, %s', (_, more) => {
    const { csv, truth } = generatedLog({ name: 'aliased', seed: 11, days: 3, ...fast, ...more });
    expect(truth.rowsPerCycle).toBeLessThan(3);
    const found = analysed(csv);
    expect(found.tooCoarse).toContain('too coarse');
    expect([
      found.cutIn,
      found.cutOut,
      found.differential,
      found.startsPerHour,
      found.shortestRestMinutes,
    ]).toEqual([null, null, null, null, null]);
    expect(found.confidence['cutIn']!.words).toContain('too coarse');
  });

  test('an aliased log, each cycle just missed by a row, shows a slow saw that is not there: the air moves against the compressor', () => {
    // The period is a little longer than the step, so that the rows walk backwards through the cycle.
    const { csv, truth } = generatedLog({ name: 'aliased', seed: 12, days: 2, every: 60, ...fast });
    const every = Math.round(truth.rowsPerCycle * 0.94);
    const rows = csv.trim().split('\r\n');
    const aliased = [rows[0]!, ...rows.slice(1).filter((_, i) => i % every === 0)].join('\r\n');
    const found = analysed(aliased);
    expect(found.tooCoarse).toContain('too coarse');
    expect(found.startsPerHour).toBeNull();
  });
});

describe('somebody changed it', () => {
  test('the set point moved by 1.5 K on the third day: found within one cycle, and the band of now is given', () => {
    const at = 2.4 * 86400;
    const { csv } = generatedLog({
      name: 'moved',
      seed: 13,
      days: 4,
      every: 60,
      noise: 0.1,
      ...cooler,
      moved: { at, by: 1.5 },
    });
    const found = analysed(csv);
    expect(found.changes.length).toBe(1);
    const [change] = found.changes;
    const moment = Date.UTC(2026, 2, 3) / 1000 + at;
    expect(change!.after).toBeLessThanOrEqual(moment + 3600);
    expect(change!.before).toBeGreaterThanOrEqual(moment - 60);
    expect(change!.cutOut.is - change!.cutOut.was).toBeCloseTo(1.5, 0);
    expect(Math.abs(found.cutOut! - 4)).toBeLessThan(0.3);
    expect(Math.abs(found.cutIn! - 6)).toBeLessThan(0.3);
  });

  test('a log in which nobody did has none, whatever the noise', () => {
    for (const recipe of recipes)
      expect([recipe.name, analysed(generatedLog(recipe).csv).changes]).toEqual([recipe.name, []]);
  });
});
