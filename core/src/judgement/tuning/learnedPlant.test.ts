import { describe, expect, test } from '@jest/globals';
import { plainUnit } from '../../../testing/units.ts';
import { plan, valuesOf } from '../plan/index.ts';
import { naturalOf, parameterIds, usualPoint } from '../../machines/identification/index.ts';
import { boxOfScenario, simulate, type Scenario } from '../../machines/simulation/index.ts';
import { unitScenario } from './unitScenario.ts';

const unit = plainUnit('walkInFreezer');
const values = valuesOf(plan(unit));
const runOf = (of: typeof unit, choice = {}) => unitScenario(of, values, choice) as Scenario;
/** What the log would say of the usual box itself. */
const usual = (() => {
  const n = parameterIds.length;
  const natural = naturalOf(runOf(unit), usualPoint(), new Float64Array(n * n));
  return Object.fromEntries(parameterIds.map((id) => [id, natural[id].value]));
})();
const learnt = (change: Readonly<Record<string, number>> = {}) => ({
  ...unit,
  learned: { ...usual, ...change },
});

describe('a unit whose own box was learned', () => {
  // Oracle: a box learned to be the usual one is the usual one, number by number.
  test('is run with the box that was learned', () => {
    const [own, plain] = [boxOfScenario(runOf(learnt())), boxOfScenario(runOf(unit))];
    expect(own.capacity).toBeCloseTo(plain.capacity, 6);
    expect(own.wallToAmbient).toBeCloseTo(plain.wallToAmbient, 8);
    expect(boxOfScenario(runOf(learnt({ capacity: usual['capacity']! * 0.8 }))).capacity).toBeCloseTo(
      plain.capacity * 0.8,
      6,
    );
  });

  test('with less capacity it runs longer', () => {
    const duty = (of: typeof unit) => simulate(runOf(of), { sampleEvery: 600 })!.figures.dutyPercent;
    expect(duty(learnt({ capacity: usual['capacity']! * 0.75 }))).toBeGreaterThan(duty(learnt()) * 1.15);
  });

  test('keeps its door against how it is used: a busy day is busier', () => {
    const opened = (choice: object) => runOf(learnt(), choice).own!.door.perHour;
    const usualDoor = (choice: object) => opened(choice) / opened({});
    expect(usualDoor({ doorUse: 'busy' })).toBeGreaterThan(1.3);
    expect(usualDoor({ doorUse: 'seldom' })).toBeLessThan(0.8);
  });

  test('is the usual one where it is no box that is cooled', () => {
    const tank = plainUnit('chilledWaterTank');
    const scenario = unitScenario({ ...tank, learned: usual }, valuesOf(plan(tank))) as Scenario;
    expect(scenario.own).toBeUndefined();
  });
});
