import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isDeepStrictEqual } from 'node:util';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { plainCooler, units } from '../../../../testing/runs.ts';
import { controlConfig, type ControlConfig } from './config.ts';
import { letPass, quietFor } from './quiet.ts';
import { copyState } from '../../../../testing/copyState.ts';
import { powerUp, type ControlInputs } from './state.ts';
import { tick } from './tick.ts';

const { c, k, s } = units;
const pick = <T>(...list: T[]) => fc.constantFrom(...list);

const fixed: SettingValues = {
  'fans.restOnTime': s(7),
  'fans.restOffTime': s(11),
  'alarms.highTemperature': c(5),
  'alarms.highOffset': k(3),
  'alarms.lowOffset': k(2),
  'stage2.offset': k(2),
  'stage2.differential': k(1),
};

/** Settings whose times end within the minutes of a run. */
const settings = fc
  .record({
    'defrost.initiation': pick('interval', 'coolingTime', 'compressorRunTime', 'clock', 'demand', 'manual'),
    'defrost.interval': pick(0, 90, 300).map(s),
    'defrost.maxDuration': pick(0, 40).map(s),
    'defrost.drainTime': pick(0, 20).map(s),
    'compressor.minOffTime': pick(0, 30).map(s),
    'compressor.minOnTime': pick(0, 45).map(s),
    'compressor.powerOnDelay': pick(0, 25).map(s),
    'compressor.powerOnDelayHoldsFans': fc.boolean(),
    'compressor.callDelay': pick(0, 10).map(s),
    'fans.control': pick('always', 'controlled'),
    'fans.whileCompressorOff': pick('run', 'stop', 'cycle'),
    'fans.runOnTime': pick(0, 33).map(s),
    'fans.whileDoorOpen': pick('run', 'stop'),
    'fans.doorCloseDelay': pick(0, 9).map(s),
    'fans.delayAfterDrain': pick(0, 15).map(s),
    'alarms.reference': pick('none', 'absolute', 'relative'),
    'alarms.differential': pick(0, 1).map(k),
    'alarms.delay': pick(0, 12).map(s),
    'alarms.defrostExclusion': pick(0, 30).map(s),
    'alarms.doorDelay': pick(0, 6).map(s),
    'probes.filterTime': pick(0, 0, 5).map(s),
    'stage2.function': pick('none', 'none', 'thermostat', 'alarm'),
  })
  .map((chosen) => controlConfig({ ...plainCooler, ...fixed, ...chosen } as SettingValues) as ControlConfig);

test('seconds called quiet are: ticks on the same inputs change nothing but the clocks (oracle: the ticks themselves)', () => {
  let passed = 0;
  fc.assert(
    fc.property(settings, fc.infiniteStream(fc.integer({ min: -1000, max: 1000 })), (config, chance) => {
      const draw = () => (chance.next().value as number) / 1000;
      const state = powerUp(config.setpoint);
      const inputs: ControlInputs = {
        air: 6,
        coil: 0,
        coil2: null,
        doorOpen: false,
        alarmInput: false,
        timeOfDay: 0,
        commands: [],
      };
      for (let t = 0; t < 600; t += 1) {
        if (t % 5 === 0) {
          inputs.air = draw() < -0.98 ? Number.NaN : 4 + 4 * draw();
          inputs.coil = inputs.air - 4 + draw();
          inputs.doorOpen = draw() > 0.9;
        }
        inputs.timeOfDay = t;
        tick(config, state, inputs, () => undefined);
        const seconds = Math.min(20, quietFor(config, state));
        if (seconds === 0) continue;
        const [ticked, skipped] = [copyState(state), copyState(state)];
        const events: unknown[] = [];
        for (let i = 1; i <= seconds; i += 1)
          tick(config, ticked, { ...inputs, timeOfDay: t + i }, (e) => events.push(e));
        letPass(skipped, seconds, t + seconds);
        // Matchers are slow with six hundred counted seconds in a state: they are asked only to show a difference.
        if (events.length > 0 || !isDeepStrictEqual(skipped, ticked))
          expect([events, skipped]).toEqual([[], ticked]);
        passed += 1;
      }
    }),
    { seed: 20, numRuns: 120, endOnFailure: true },
  );
  expect(passed).toBeGreaterThan(5000);
});
