import { describe, expect, test } from '@jest/globals';
import { plan, valuesOf } from '../plan/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { advise, tryVariant, tuningTask, variantsOf, type TuningRow, type TuningTask } from './task.ts';
import { goalIds } from './goals.ts';

const unit = plainUnit('walkInFreezer', { displayUnit: 'fahrenheit' });
const values = valuesOf(plan(unit));
const taskOf = (
  goal: (typeof goalIds)[number],
  change: object = {},
  settings?: TuningTask['axes'][number]['setting'][],
) => {
  const task = tuningTask(unit, { ...values, ...change }, goal, 'degF', settings);
  if (typeof task === 'string') throw new Error(task);
  return task;
};
const tried = (task: TuningTask) => variantsOf(task).map((_, i) => tryVariant(task, i));

describe('what is swept', () => {
  test.each(goalIds)(
    '%s: two settings, the present values among them, at most 200 variants, every one once',
    (goal) => {
      const task = taskOf(goal);
      expect(task.axes).toHaveLength(2);
      for (const { setting, values: list } of task.axes) {
        const steps = list.map((q) => baseValue(q));
        expect(steps).toEqual([...steps].sort((a, b) => a - b));
        const present = values[setting];
        if (isQuantity(present))
          expect(Math.min(...steps.map((s) => Math.abs(s - baseValue(present))))).toBeLessThan(1e-6);
      }
      const variants = variantsOf(task);
      expect(variants[0]).toEqual({});
      expect(variants.length).toBeLessThanOrEqual(201);
      expect(new Set(variants.map((v) => JSON.stringify(v))).size).toBe(variants.length);
      const product = task.axes.reduce((n, axis) => n * axis.values.length, 1);
      expect(variants.length).toBe(product);
    },
  );

  test('a setting that is not there cannot be swept: a sentence', () => {
    expect(tuningTask(unit, {}, 'quietAlarm', 'degC', ['stage2.offset'])).toContain('stage2.offset');
  });
});

describe('what is advised', () => {
  const row = (index: number, score: number, against: string[] = []): TuningRow => ({
    index,
    change: variantsOf(task)[index]!,
    present: index === 0,
    score,
    price: 0,
    against,
  });
  const task = taskOf('fewerStarts');

  test('none sound: the one with least against it, said so', () => {
    const tuned = advise(task, [row(0, 1, ['a', 'b']), row(1, 5, ['c']), row(2, 3, ['d'])]);
    expect([tuned.sound, tuned.advised.index]).toEqual([false, 2]);
    expect(tuned.reason).toContain('None of 3');
  });

  test('of equals the one nearest to what is set', () => {
    const tuned = advise(task, [row(0, 1), row(1, 1.005), row(2, 0.9999)]);
    expect([tuned.sound, tuned.advised.index]).toEqual([true, 0]);
    expect(tuned.reason).toContain('already best');
  });
});

describe('the goals on a freezer (oracle: the runs themselves, at 1 s)', () => {
  test('the shortest defrost leaves no ice and takes less of the day than what is set', () => {
    const task = taskOf('shortestDefrost', {}, ['defrost.endTemperature']);
    const tuned = advise(task, tried(task));
    expect(tuned.sound).toBe(true);
    expect(tuned.advised.against).toEqual([]);
    // Grams: three hundredths of what fills this coil.
    expect(tuned.advised.price).toBeLessThan(90);
    const present = tuned.rows.find((r) => r.present)!;
    expect(tuned.advised.score).toBeLessThanOrEqual(present.score);
  });

  test('fewer starts come from a wider band', () => {
    const task = taskOf('fewerStarts', {}, ['regulation.differential']);
    const rows = tried(task);
    const widths = rows
      .slice(1)
      .map((r) => [baseValue(r.change['regulation.differential'] as never), r.score]);
    expect(widths[0]![1]).toBeGreaterThan(widths.at(-1)![1]!);
    expect(advise(task, rows).advised.score).toBe(
      Math.min(...rows.filter((r) => r.against.length === 0).map((r) => r.score)),
    );
  });

  test('an alarm nearer to the band calls a dead compressor sooner, and one inside it is an error', () => {
    const task = taskOf('quietAlarm', {}, ['alarms.highTemperature']);
    const rows = tried(task);
    const [present, nearest] = [rows[0]!, rows[1]!];
    expect(nearest.score).toBeLessThan(present.score);
    const inside = {
      ...task,
      axes: [{ setting: 'alarms.highTemperature' as const, values: [{ value: -5, unit: 'degF' as const }] }],
    };
    expect(tryVariant(inside, 1).against.join()).toContain('does not lie above cut-in');
  });
});
