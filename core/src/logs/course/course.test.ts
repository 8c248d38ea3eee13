import { describe, expect, test } from '@jest/globals';
import { otherBoxes } from '../../../testing/otherBoxes/boxes.ts';
import { runOther } from '../../../testing/otherBoxes/run.ts';
import { logOf } from '../../../testing/otherBoxes/tryBox.ts';
import type { LogRole } from '../../../testing/otherBoxes/logCsv.ts';
import { courseOf } from './courseOf.ts';

const freezer = otherBoxes.find((box) => box.name === 'walk-in freezer')!;
const { rows, figures } = runOther(freezer, freezer.settings, { days: 2, seed: 9 });
const all: readonly LogRole[] = ['air', 'coil', 'compressor', 'defrost', 'fan'];
const course = (columns: readonly LogRole[]) => courseOf(logOf(rows, columns), freezer.settings).course!;

/** Share of the rows at which a course's outputs stand as they truly did. */
function agreement(columns: readonly LogRole[], output: 'compressor' | 'fan'): number {
  const { switches } = course(columns);
  let of = 0;
  let right = 0;
  for (const row of rows) {
    while (of < switches.length - 1 && switches[of + 1]!.at <= row.t) of += 1;
    if (switches[of]![output] === (row[output] === 1)) right += 1;
  }
  return right / rows.length;
}

// Oracle: the control that made the log, and what it came to.
describe('a log as a course', () => {
  test('has its runs and its defrosts', () => {
    const { stretches, defrosts } = course(all);
    const runs = stretches.filter((s) => s.kind === 'run').length;
    expect(Math.abs(runs / 48 - figures.startsPerHour)).toBeLessThan(0.05);
    expect(defrosts).toHaveLength(figures.defrostsPerDay * 2);
    const minutes = defrosts.reduce((sum, d) => sum + d.to - d.from, 0) / defrosts.length / 60;
    // A row a minute: each end is known to half a minute.
    expect(Math.abs(minutes - figures.defrostMinutes!)).toBeLessThan(1);
    expect(defrosts.every((d) => d.byTemperature)).toBe(true);
  });

  test('knows the fan from the settings where it was not logged', () =>
    // Rows are a minute apart, and a fan changes some twenty times a day.
    expect(agreement(['air', 'coil', 'compressor', 'defrost'], 'fan')).toBeGreaterThan(0.97));

  test('reads the compressor from the turns of the air where it was not logged', () =>
    // Seven starts in two hours, each known to about a minute: a tenth of the rows.
    expect(agreement(['air', 'coil'], 'compressor')).toBeGreaterThan(0.85));

  test('a stretch that the band ended says so, one cut short by a defrost does not', () => {
    const { stretches, defrosts } = course(all);
    for (const d of defrosts) {
      const cut = stretches.find((s) => s.kind === 'run' && Math.abs(s.to - d.from) < 90);
      if (cut) expect(cut.byBand).toBe(false);
    }
    expect(stretches.filter((s) => s.byBand).length / stretches.length).toBeGreaterThan(0.6);
  });
});
