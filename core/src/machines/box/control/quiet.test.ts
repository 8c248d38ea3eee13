import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isDeepStrictEqual } from 'node:util';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { plainCooler, units } from '../../../../testing/runs.ts';
import { controlConfig, type ControlConfig } from './config.ts';
import { letPass, notQuiet, quietFor, staysQuiet } from './quiet.ts';
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
    'fans.stopCoilTemperature': pick(-2, 1, 60).map(c),
    'fans.coilDifferential': pick(0, 1).map(k),
    'probes.airOffset': pick(0, 0, 0.3).map(k),
    'probes.slope': pick(1, 1, 1.02),
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

test('seconds called quiet are: ticks on readings within the bounds change nothing but the clocks (oracle: the ticks themselves)', () => {
  let passed = 0;
  fc.assert(
    fc.property(settings, fc.infiniteStream(fc.integer({ min: -1000, max: 1000 })), (config, chance) => {
      const draw = () => (chance.next().value as number) / 1000;
      const state = powerUp(config.setpoint);
      const quiet = notQuiet();
      let about = 6;
      const inputs: ControlInputs = {
        air: 6,
        coil: 0,
        coil2: null,
        doorOpen: false,
        alarmInput: false,
        timeOfDay: 0,
        commands: [],
      };
      /** Another reading near the last, now and then on the very edge of a band. */
      const read = () => {
        inputs.air = draw() > 0.9 ? Math.round(about * 2) / 2 : about + draw();
        inputs.coil = inputs.air - 4 + draw();
      };
      for (let t = 0; t < 600; t += 1) {
        if (t % 5 === 0) {
          about = 4 + 4 * draw();
          inputs.doorOpen = draw() > 0.9;
        }
        read();
        if (draw() < -0.98) inputs.air = Number.NaN;
        inputs.timeOfDay = t;
        tick(config, state, inputs, () => undefined);
        quietFor(config, state, quiet);
        const [ticked, skipped] = [copyState(state), copyState(state)];
        const events: unknown[] = [];
        for (let i = 1; i <= 20; i += 1) {
          read();
          inputs.timeOfDay = t + i;
          if (!staysQuiet(quiet, inputs)) break;
          tick(config, ticked, inputs, (e) => events.push(e));
          letPass(config, skipped, inputs);
          quiet.seconds -= 1;
          passed += 1;
        }
        // Matchers are slow with six hundred counted seconds in a state: they are asked only to show a difference.
        if (events.length > 0 || !isDeepStrictEqual(skipped, ticked))
          expect([events, skipped]).toEqual([[], ticked]);
      }
    }),
    { seed: 20, numRuns: 120, endOnFailure: true },
  );
  expect(passed).toBeGreaterThan(5000);
});
