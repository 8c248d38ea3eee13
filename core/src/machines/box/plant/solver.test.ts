import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { Solver } from 'odex';
import { isFileProblem } from '../../../foundation/files/index.ts';
import { beginsAt, boxOfScenario, readScenario, type Scenario } from '../../simulation/index.ts';
import { asVector, boxRates } from '../../../../testing/boxRates.ts';
import { driveSegments } from '../../../../testing/driveSegments.ts';
import { stepBox } from './box.ts';
import { BoxFlows, restingBox } from './boxState.ts';
import { boxWork } from './boxWork.ts';

const file = JSON.parse(
  readFileSync(
    new URL('../../../../../docs/formats/examples/fish-freezer.scenario.json', import.meta.url),
    'utf8',
  ),
) as { settings: object; plant: object };

/** Steps of the box, and the solver between switches, under what the control switched in the same run. */
function both(change: object, hours: number) {
  const scenario = readScenario({ ...file, ...change, warmUpHours: 0, hours }) as Scenario;
  if (isFileProblem(scenario)) throw new Error('no scenario');
  const p = boxOfScenario(scenario);
  const state = restingBox(beginsAt(scenario));
  let y = asVector(state);
  const flows = new BoxFlows();
  const work = boxWork();
  const apart = { air: 0, coil: 0, frost: 0, product: 0 };
  let most = 0;
  for (const { from, to, drive } of driveSegments(scenario)) {
    for (let t = from; t < to; t += 1) stepBox(p, state, drive, 1, flows, work);
    const solver = new Solver(y.length);
    solver.absoluteTolerance = 1e-6;
    solver.relativeTolerance = 1e-6;
    solver.maxSteps = 100_000;
    y = solver.solve(boxRates(p, drive), from, y, to).y;
    const at = asVector(state);
    const frost = at[9]! + at[12]!;
    most = Math.max(most, frost);
    apart.air = Math.max(apart.air, Math.abs(y[0]! - at[0]!));
    apart.coil = Math.max(apart.coil, Math.abs(y[8]! - at[8]!));
    apart.product = Math.max(apart.product, Math.abs(y[4]! - at[4]!));
    apart.frost = Math.max(apart.frost, Math.abs(y[9]! + y[12]! - frost));
  }
  return { apart, most };
}

// Oracle: odex (Hairer's extrapolation code) at 1e-6 on the equations written a second time, one solve per stretch between two switches. Tolerances: a step of
// 1 s takes each flow from its beginning, so a coil that moves 0.1 K a second in its first seconds may be as far off, and what follows it less. The air of a small
// box behind a wide open door moves a kelvin a second: it and its coil are given more, and its frost too, since box air melts it
// with metal tenths of a kelvin above zero, so that a small difference is a large share of the melting.
test.each([
  ['a freezer with a defrost and doors', [0.03, 0.25, 0.005], {}, 9],
  [
    'the same on a busy, humid day',
    [0.03, 0.25, 0.005],
    { doorUse: 'busy', plant: { ...file.plant, humidityPercent: 85 } },
    7,
  ],
  [
    'a merchandiser that clears off-cycle',
    [0.1, 0.25, 0.06],
    {
      plant: { template: 'merchandiser' },
      settings: {
        ...file.settings,
        'regulation.setpoint': { value: 2, unit: 'degC' },
        'defrost.method': 'offCycle',
        'defrost.endTemperature': { value: 7, unit: 'degC' },
        'fans.whileCompressorOff': 'run',
        'fans.whileDefrost': 'run',
      },
    },
    7,
  ],
])('%s: the steps stay with the solver', (_, [air, coil, share], change, hours) => {
  const { apart, most } = both(change, hours);
  expect(most).toBeGreaterThan(0.01);
  expect(apart.air).toBeLessThan(air!);
  expect(apart.product).toBeLessThan(0.02);
  expect(apart.coil).toBeLessThan(coil!);
  // Below a few grams a share of so little says nothing.
  expect(apart.frost).toBeLessThan(Math.max(0.005, share! * most));
});
