import { describe, expect, test } from '@jest/globals';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { seeded } from '../../../../testing/seeded.ts';
import { controlConfig, powerUp, tick } from '../../box/index.ts';
import { condenserAtRest } from './condenserState.ts';
import { fansInForce } from './fansByRelay.ts';
import { tickCondenser } from './tickCondenser.ts';

const C = (value: number) => ({ value, unit: 'degC' }) as const;
const K = (value: number) => ({ value, unit: 'K' }) as const;
const relay: SettingValues = {
  'regulation.setpoint': C(28),
  'regulation.differential': K(6),
  'regulation.differentialPlacement': 'setpointIsCutOut',
  'compressor.onProbeFault': 'run',
};

/** A random walk of the liquid's temperature, °C, one each second; at the end its probe fails. */
function course(seed: number): readonly (number | null)[] {
  const random = seeded(seed);
  let liquid = 30;
  return Array.from({ length: 600 }, (_, t) => {
    liquid = Math.min(45, Math.max(15, liquid + 4 * (random() - 0.5)));
    return t >= 540 ? null : liquid;
  });
}

describe('fans on one relay', () => {
  // Oracle: the box control itself, which that relay belongs to, run over the same liquid.
  test.each(['setpointIsCutOut', 'setpointIsMiddle', 'setpointIsCutIn'] as const)(
    'switch in the same seconds as the relay does, %s',
    (placement) => {
      for (let seed = 1; seed <= 20; seed += 1) {
        const values: SettingValues = { ...relay, 'regulation.differentialPlacement': placement };
        const control = controlConfig(values);
        if (typeof control === 'string') throw new Error(control);
        const fans = fansInForce(values)!;
        const [box, condenser] = [powerUp(control.setpoint), condenserAtRest(fans)];
        for (const liquid of course(seed)) {
          const on = tick(
            control,
            box,
            {
              air: liquid ?? Number.NaN,
              coil: null,
              coil2: null,
              doorOpen: false,
              alarmInput: false,
              timeOfDay: 0,
              commands: [],
            },
            () => undefined,
          ).compressor;
          const output = tickCondenser(
            fans,
            condenser,
            {
              liquid,
              backup: null,
              outdoor: null,
              compressor: true,
              quiet: false,
              overload: false,
              timeOfDay: 0,
            },
            () => undefined,
          );
          expect([seed, placement, liquid, output > 0]).toEqual([seed, placement, liquid, on]);
        }
      }
    },
  );

  test('alarm limits are temperatures, whether they were written as such or counted from the set point', () => {
    const written = fansInForce({
      ...relay,
      'alarms.reference': 'absolute',
      'alarms.highTemperature': C(47),
      'alarms.lowTemperature': C(16),
    })!;
    const counted = fansInForce({
      ...relay,
      'alarms.reference': 'relative',
      'alarms.highOffset': K(19),
      'alarms.lowOffset': K(12),
    })!;
    expect(written.alarms).toMatchObject({ high: 47, low: 16 });
    expect(counted.alarms).toEqual(written.alarms);
  });

  test('a failed probe: as the relay is set, a clock as its share of the time', () => {
    const output = (more: SettingValues) => fansInForce({ ...relay, ...more })!.faultOutput;
    expect(output({ 'compressor.onProbeFault': 'stop' })).toBe(0);
    expect(
      output({
        'compressor.onProbeFault': 'dutyCycle',
        'compressor.faultOnTime': { value: 15, unit: 'min' },
        'compressor.faultOffTime': { value: 5, unit: 'min' },
      }),
    ).toBeCloseTo(0.75, 12);
  });

  test('a condenser group goes before, a control that heats is none', () => {
    expect(fansInForce({ ...relay, 'condenser.setpoint': C(33) })!.setpoint).toBe(33);
    expect(fansInForce({ ...relay, 'regulation.action': 'heat' })).toBeNull();
    expect(fansInForce({})).toBeNull();
  });
});
