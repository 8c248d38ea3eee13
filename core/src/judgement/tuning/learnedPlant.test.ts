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

  test('keeps its door against how it is used: on a busy day it runs longer', () => {
    const duty = (doorUse: 'busy' | 'seldom') =>
      simulate(runOf(learnt(), { doorUse }), { sampleEvery: 600 })!.figures.dutyPercent;
    expect(duty('busy')).toBeGreaterThan(duty('seldom') * 1.05);
  });

  // Oracle: what the choice does to the usual box, number by number.
  test.each([
    ['a strip curtain', { doorFactor: 0.2 }],
    ['a larger coil', { coilFactor: 1.5 }],
    ['better insulation', { insulationFactor: 2 }],
    ['an emptied box', { goodsFactor: 0.06 }],
  ])('%s changes it as it changes the usual one', (_, change) => {
    const scenario = runOf(
      learnt({ capacity: usual['capacity']! * 0.8, wallLoss: usual['wallLoss']! * 1.3 }),
    );
    const plain = runOf(unit);
    const numbers = (of: Scenario, more: object) => {
      const box = boxOfScenario({ ...of, choice: { ...of.choice, ...more } });
      return [box.wallToAmbient, box.zones[0].toAir, box.door.share, box.productSlow, box.capacity];
    };
    const factors = (of: Scenario) => {
      const before = numbers(of, {});
      return numbers(of, change).map((x, i) => Number((x / before[i]!).toFixed(6)));
    };
    expect(factors(scenario)).toEqual(factors(plain));
    expect(factors(scenario).some((f) => f !== 1)).toBe(true);
  });

  test('heaters put into a coil that had none are as strong as in the usual box', () => {
    const cooler = plainUnit('walkInCooler');
    const scenario = unitScenario(
      { ...cooler, learned: { capacity: 2000 } },
      valuesOf(plan(cooler)),
    ) as Scenario;
    const heated = { ...scenario, choice: { ...scenario.choice, clearing: 'electric' as const } };
    const { own: _own, ...plain } = heated;
    expect(boxOfScenario(scenario).heaterWatts).toBe(0);
    expect(boxOfScenario(heated).heaterWatts).toBe(boxOfScenario(plain).heaterWatts);
  });

  test('is the usual one where it is no box that is cooled', () => {
    const tank = plainUnit('chilledWaterTank');
    const scenario = unitScenario({ ...tank, learned: usual }, valuesOf(plan(tank))) as Scenario;
    expect(scenario.own).toBeUndefined();
  });
});
