import { describe, expect, test } from '@jest/globals';
import type { UnitDescription } from '../../../foundation/unit/index.ts';
import { AUTO_START_DELAY } from '../../../machines/engine/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import { plan, valuesOf } from '../../plan/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import { engineRun } from './engineRun.ts';

const body: UnitDescription = {
  format: 'brine-dial/unit@1',
  application: 'transportUnit',
  goods: 'produce',
  defrostMethod: 'hotGas',
  probes: ['air', 'coil'],
  ambient: { value: 32, unit: 'degC' },
};
const planned = valuesOf(plan(body));

describe('the engine of a transport unit over a round', () => {
  test('continuous it runs all the time; start-stop it stands between, and the air with it', () => {
    const always = engineRun(body, { ...planned, 'transport.runMode': 'continuous' }, 10);
    const onDemand = engineRun(body, { ...planned, 'transport.runMode': 'startStop' }, 10);
    if (typeof always === 'string' || typeof onDemand === 'string') throw new Error('runs');
    // It starts by itself ten seconds after the switch.
    expect([Math.round(always.engineHours * 3600), always.starts]).toEqual([36_000 - AUTO_START_DELAY, 1]);
    expect(onDemand.engineHours).toBeLessThan(6);
    // The fan hangs on the engine: it stands at least as long.
    expect(onDemand.stillHours).toBeGreaterThanOrEqual(10 - onDemand.engineHours);
    expect(onDemand.air.max).toBeGreaterThanOrEqual(onDemand.product.max);
  });

  // Oracle: the forecast of the same unit and values, from the same hour and the same air.
  test('is the run that the forecast shows', () => {
    const values = { ...planned, 'transport.runMode': 'startStop' };
    const scenario = unitScenario(body, values, { hours: 10, warmUpHours: 0 });
    if (typeof scenario === 'string') throw new Error(scenario);
    const { figures } = simulate({
      ...scenario,
      startOfDay: 6 * 3600,
      startAt: scenario.engine!.setpoint,
    })!;
    const run = engineRun(body, values, 10);
    if (typeof run === 'string') throw new Error(run);
    expect(run.starts / 10).toBeCloseTo(figures.startsPerHour, 9);
    expect(run.air.max).toBe(figures.air.max);
    expect(run.air.min).toBe(figures.air.min);
  });

  test('says what is missing where no engine can run', () => {
    const bare = { ...planned };
    delete bare['transport.runMode'];
    expect(engineRun(body, bare, 10)).toContain('run mode is not set');
    expect(engineRun({ ...body, application: 'walkInCooler' }, planned, 10)).toContain('transport unit');
  });
});
