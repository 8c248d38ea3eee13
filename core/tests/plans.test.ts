import { describe, expect, test } from '@jest/globals';
import { plan, valuesOf } from '../src/judgement/plan/index.ts';
import { judgement } from '../src/judgement/verdict/index.ts';
import { coldKinds, unitsOf, type ColdKind } from '../testing/everyUnit.ts';

/** Plans of a kind whose own day says an error against them, and those of them without a remedy that was run. */
function tried(kind: ColdKind) {
  const list = unitsOf(kind);
  const bad = list.flatMap((unit) => {
    const { findings } = judgement({ unit, values: valuesOf(plan(unit)) });
    const errors = findings.filter((f) => f.severity === 'error');
    return errors.length === 0 ? [] : [{ unit, errors }];
  });
  return { all: list.length, bad, stuck: bad.filter(({ errors }) => errors.some((f) => f.remedy === null)) };
}

// Oracle: the simulated day of each unit, whose boxes are held to conservation, a solver and the trade's figures elsewhere.
describe('a plan stands its own day, or names the way out', () => {
  const counts = { all: 0, bad: 0 };

  test.each(coldKinds.map((kind) => [kind]))('%s', (kind) => {
    const { all, bad, stuck } = tried(kind);
    counts.all += all;
    counts.bad += bad.length;
    expect(stuck.map(({ unit, errors }) => [unit, errors.map((f) => f.code)])).toEqual([]);
    // No kind is let down for the sake of the others.
    expect(bad.length / all).toBeLessThan(0.12);
  });

  test('of all, at least 98 % have no error', () => {
    expect(counts.all).toBeGreaterThan(600);
    expect(1 - counts.bad / counts.all).toBeGreaterThanOrEqual(0.98);
  });
});
