import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ControlEvent } from '../../box/control/event.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { referenceJson, referenceTable } from '../../../../testing/referenceTables.ts';
import { condenserAtRest, type CondenserInputs } from './condenserState.ts';
import { driveVolts, tickCondenser } from './tickCondenser.ts';
import { fansOf } from './condenserConfig.ts';

const base: SettingValues = {
  'condenser.setpoint': { value: 35, unit: 'degC' },
  'condenser.differential': { value: 5, unit: 'K' },
  'condenser.method': 'proportional',
};
const inputs: CondenserInputs = {
  liquid: 35,
  backup: null,
  outdoor: null,
  compressor: true,
  quiet: false,
  overload: false,
  timeOfDay: 0,
};

/** Runs the fans over a course of inputs, a second each; the outputs in percent, and what was told. */
function run(more: SettingValues, course: readonly Partial<CondenserInputs>[]) {
  const config = fansOf({ ...base, ...more })!;
  const state = condenserAtRest(config);
  const events: ControlEvent[] = [];
  const outputs = course.map(
    (c) => 100 * tickCondenser(config, state, { ...inputs, ...c }, (e) => void events.push(e)),
  );
  return { outputs, events, state, config };
}
const hold = (seconds: number, c: Partial<CondenserInputs>) => Array.from({ length: seconds }, () => c);
const at = (liquid: number, more: SettingValues = {}) => run(more, [{ liquid }]).outputs[0]!;

describe('proportional', () => {
  // Oracle: reference/fan_proportional.csv, band above the set point, rescaled minimum, 0–10 V.
  test.each(
    referenceTable('fan_proportional.csv').filter((row) => row['SP_C'] === '35.0' && row['PB_K'] === '5.0'),
  )('at $t_C °C', (row) => {
    expect(at(Number(row['t_C']))).toBeCloseTo(Number(row['out_band_above_pct']), 3);
    const rescaled = at(Number(row['t_C']), { 'condenser.speedMin': { value: 30, unit: '%' } });
    expect(rescaled).toBeCloseTo(Number(row['min30_rescaled_pct']), 3);
    const { config, state } = run({}, [{ liquid: Number(row['t_C']) }]);
    expect(driveVolts(config, state.output)).toBeCloseTo(Number(row['V_0_10_band_above']), 4);
  });

  test('set 36, band 4: half at 38 (common practice); no band is on-off at the set point', () => {
    const set36: SettingValues = {
      'condenser.setpoint': { value: 36, unit: 'degC' },
      'condenser.differential': { value: 4, unit: 'K' },
    };
    expect(at(38, set36)).toBeCloseTo(50, 9);
    const none: SettingValues = { 'condenser.differential': { value: 0, unit: 'K' } };
    expect([at(35, none), at(35.01, none)]).toEqual([0, 100]);
  });
});

describe('proportional-integral', () => {
  const pi = (band: number, ti: number): SettingValues => ({
    'condenser.method': 'proportionalIntegral',
    'condenser.differential': { value: band, unit: 'K' },
    'condenser.integralTime': { value: ti, unit: 's' },
  });

  // Oracle: reference/pi_step.json: backward Euler, I before the output.
  test('a constant error of 1 K grows as published', () => {
    const { open_loop_unit_error: open } = referenceJson<{
      open_loop_unit_error: {
        Kp_pct_per_K: number;
        Ti_s: number;
        rows: { k: number; u_backward_euler_pct: number }[];
      };
    }>('pi_step.json');
    const { outputs } = run(pi(100 / open.Kp_pct_per_K, open.Ti_s), hold(121, { liquid: 36 }));
    for (const { k, u_backward_euler_pct } of open.rows)
      expect(outputs[k]).toBeCloseTo(u_backward_euler_pct, 5);
  });

  // Oracle: the same file: closed loops with an exact plant, to 5e-7; saturating start with conditional integration among them.
  interface Loop {
    readonly case: string;
    readonly params: {
      readonly Kp: number;
      readonly Ti: number;
      readonly dt: number;
      readonly SP: number;
      readonly K: number;
      readonly tau: number;
      readonly Tamb: number;
      readonly N: number;
      readonly PV0: number;
    };
    readonly min_PV: number;
    readonly samples: readonly { readonly t_s: number; readonly PV: number; readonly u: number }[];
  }
  const loops = referenceJson<{ cases: readonly Loop[] }>('pi_step.json').cases.filter(
    (c) => c.params.dt === 1 && /^C[12]/.test(c.case),
  );
  test.each(loops)('$case', ({ params, min_PV, samples }) => {
    const config = fansOf({
      ...base,
      ...pi(100 / params.Kp, params.Ti),
      'condenser.setpoint': { value: params.SP, unit: 'degC' },
    })!;
    const state = condenserAtRest(config);
    const decay = Math.exp(-1 / params.tau);
    let pv = params.PV0;
    let least = pv;
    const said = new Map(samples.map((s) => [s.t_s, s]));
    for (let t = 0; t < params.N; t += 1) {
      const u = 100 * tickCondenser(config, state, { ...inputs, liquid: pv }, () => undefined);
      const want = said.get(t);
      if (want) {
        expect(pv).toBeCloseTo(want.PV, 5);
        expect(u).toBeCloseTo(want.u, 4);
      }
      const end = params.Tamb - params.K * u;
      pv = end + (pv - end) * decay;
      least = Math.min(least, pv);
    }
    expect(least).toBeCloseTo(min_PV, 5);
  });

  test('an integral time of 0 leaves it proportional', () =>
    expect(run(pi(5, 0), hold(60, { liquid: 37 })).outputs.at(-1)).toBeCloseTo(40, 9));
});

describe('on-off with several fans', () => {
  const three: SettingValues = {
    'condenser.method': 'onOff',
    'condenser.fanCount': 3,
    'condenser.differential': { value: 6, unit: 'K' },
  };

  test('fan k cuts in at S + k·D/n and out at S + (k − 1)·D/n', () => {
    const shares = run(
      three,
      [35, 36.9, 37, 38.9, 39, 41, 39.1, 39, 37.1, 37, 35.1, 35].map((liquid) => ({ liquid })),
    ).outputs;
    expect(shares.map((s) => Math.round((s / 100) * 3))).toEqual([0, 0, 1, 1, 2, 3, 3, 2, 2, 1, 1, 0]);
  });

  test('set 85 °F, differential 15: on at 100, off at 85 (common practice)', () => {
    const one: SettingValues = {
      'condenser.method': 'onOff',
      'condenser.setpoint': { value: 85, unit: 'degF' },
      'condenser.differential': { value: 15, unit: 'deltaF' },
    };
    const c = (f: number) => ({ liquid: ((f - 32) * 5) / 9 });
    expect(run(one, [99, 100, 86, 85].map(c)).outputs).toEqual([0, 100, 100, 0]);
  });

  const order = (rotation: string) => {
    const config = fansOf({ ...base, ...three, 'condenser.rotation': rotation })!;
    const state = condenserAtRest(config);
    const seen: string[] = [];
    // Up one, up two, down one, up again, down to none, up one.
    for (const [liquid, seconds] of [
      [37, 5],
      [39, 5],
      [37, 5],
      [39, 5],
      [35, 5],
      [37, 5],
    ] as const) {
      for (let i = 0; i < seconds; i += 1)
        tickCondenser(config, state, { ...inputs, liquid }, () => undefined);
      seen.push(state.fans.map((fan) => Number(fan.on)).join(''));
    }
    return seen;
  };
  test.each([
    ['fixed', ['100', '110', '100', '110', '000', '100']],
    ['lastInFirstOut', ['100', '110', '100', '110', '000', '100']],
    // The one that started first stops first, the one that rested longest starts next.
    ['firstInFirstOut', ['100', '110', '010', '011', '000', '100']],
    ['runTime', ['100', '110', '010', '011', '000', '001']],
  ])('%s', (rotation, fans) => expect(order(rotation)).toEqual(fans));

  test('over a day of swings the run time rotation keeps hours within a cycle of each other', () => {
    const { state } = run(
      { ...three, 'condenser.rotation': 'runTime' },
      Array.from({ length: 20_000 }, (_, t) => ({ liquid: 38 + 3.5 * Math.sin(t / 200) })),
    );
    const hours = state.fans.map((fan) => fan.seconds);
    expect(Math.max(...hours) - Math.min(...hours)).toBeLessThan(1300);
  });
});

describe('kick, ramps, quiet, neutral zone', () => {
  const drive: SettingValues = {
    'condenser.speedMin': { value: 20, unit: '%' },
    'condenser.riseTime': { value: 40, unit: 's' },
    'condenser.fallTime': { value: 80, unit: 's' },
  };

  test('rises from least to full in the rise time and falls in the fall time', () => {
    const { outputs } = run(drive, [...hold(60, { liquid: 50 }), ...hold(120, { liquid: 34 })]);
    expect(outputs.findIndex((o) => o >= 100 - 1e-9)).toBe(40);
    expect(outputs.slice(60).findIndex((o) => o === 0)).toBe(79);
  });

  test('a start begins with full output for the kick', () => {
    const { outputs } = run(
      { ...drive, 'condenser.kickTime': { value: 3, unit: 's' } },
      hold(6, { liquid: 36 }),
    );
    expect(outputs.slice(0, 3)).toEqual([100, 100, 100]);
    expect(outputs[3]).toBeLessThan(40);
  });

  test('the quiet cap always wins, over midnight too, by clock or input', () => {
    const night: SettingValues = {
      'condenser.quietSource': 'clock',
      'condenser.quietCap': { value: 60, unit: '%' },
      'condenser.quietStart': '22:00',
      'condenser.quietEnd': '06:00',
      'condenser.kickTime': { value: 3, unit: 's' },
    };
    const [late, early, noon] = [23, 5, 12].map(
      (h) => run(night, [{ liquid: 50, timeOfDay: h * 3600 }]).outputs[0],
    );
    expect([late, early, noon]).toEqual([60, 60, 100]);
    expect(
      run({ ...night, 'condenser.quietSource': 'input' }, [{ liquid: 50, quiet: true }]).outputs,
    ).toEqual([60]);
  });

  test('in the neutral zone the output holds, outside it moves along the ramps', () => {
    const zone: SettingValues = {
      ...drive,
      'condenser.method': 'neutralZone',
      'condenser.neutralZone': { value: 1, unit: 'K' },
      'condenser.speedMin': { value: 0, unit: '%' },
    };
    const { outputs } = run(zone, [
      ...hold(21, { liquid: 37 }),
      ...hold(30, { liquid: 35.5 }),
      ...hold(10, { liquid: 33 }),
    ]);
    expect(outputs[20]).toBeCloseTo(52.5, 1);
    expect(outputs[50]).toBeCloseTo(outputs[20]!, 9);
    expect(outputs.at(-1)!).toBeLessThan(outputs[50]!);
  });
});

describe('floating set point, failed probes, holds, alarms', () => {
  const floats: SettingValues = {
    'condenser.floating': true,
    'condenser.outdoorProbe': true,
    'condenser.floatingDifference': { value: 8, unit: 'K' },
    'condenser.setpointMin': { value: 25, unit: 'degC' },
    'condenser.setpointMax': { value: 40, unit: 'degC' },
  };

  test('floats within its limits; a failed outdoor probe floats to the highest', () => {
    // 2.5 K above S is half of the band.
    for (const [outdoor, s] of [
      [20, 28],
      [10, 25],
      [38, 40],
      [Number.NaN, 40],
    ] as const)
      expect(run(floats, [{ liquid: s + 2.5, outdoor }]).outputs[0]).toBeCloseTo(50, 9);
  });

  test('a failed probe gives the backup’s turn, else the fixed output, and an alarm', () => {
    const fault: SettingValues = { 'condenser.probeFaultOutput': { value: 60, unit: '%' } };
    const lost = run(fault, [{ liquid: Number.NaN }]);
    expect(lost.outputs[0]).toBeCloseTo(60, 9);
    expect(lost.events).toContainEqual(
      expect.objectContaining({ kind: 'alarmCause', value: true, reason: 'liquidProbe' }),
    );
    expect(
      run({ ...fault, 'condenser.backupProbe': true }, [{ liquid: Number.NaN, backup: 36 }]).outputs[0],
    ).toBeCloseTo(20, 9);
  });

  test('nothing below the cut-off, nothing without a compressor where so set, nothing under an overload', () => {
    expect(
      run({ 'condenser.cutOff': true, 'condenser.cutOffTemperature': { value: 36, unit: 'degC' } }, [
        { liquid: 35.9 },
        { liquid: 36.1 },
      ]).outputs.map((o) => o > 0),
    ).toEqual([false, true]);
    expect(
      run({ 'condenser.onlyWithCompressor': true }, [{ liquid: 39, compressor: false }]).outputs,
    ).toEqual([0]);
    const overload: SettingValues = {
      'condenser.overloadInput': true,
      'condenser.overloadDelay': { value: 2, unit: 's' },
    };
    const course = [...hold(4, { liquid: 50, overload: true }), ...hold(2, { liquid: 50 })];
    expect(run(overload, course).outputs.map(Math.round)).toEqual([100, 100, 0, 0, 100, 100]);
    expect(run({ ...overload, 'condenser.overloadReset': 'manual' }, course).outputs.at(-1)).toBe(0);
  });

  test('high at 45, differential 5, delay 60: alarms after a minute, clears at 40 (common practice)', () => {
    const alarm: SettingValues = {
      'condenser.highTemperature': { value: 45, unit: 'degC' },
      'condenser.alarmDifferential': { value: 5, unit: 'K' },
      'condenser.alarmDelay': { value: 60, unit: 's' },
    };
    const { events } = run(alarm, [
      ...hold(90, { liquid: 46 }),
      ...hold(10, { liquid: 41 }),
      ...hold(10, { liquid: 40 }),
    ]);
    expect(events.filter((e) => e.reason === 'highCondensing').map((e) => [e.t, e.value])).toEqual([
      [60, true],
      [100, false],
    ]);
  });

  test('whatever comes, the output is a share and the ramps are kept (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('onOff', 'proportional', 'proportionalIntegral', 'neutralZone'),
        fc.array(fc.double({ min: 0, max: 70, noNaN: true }), { minLength: 20, maxLength: 80 }),
        (method, course) => {
          const more: SettingValues = {
            'condenser.method': method,
            'condenser.integralTime': { value: 90, unit: 's' },
            'condenser.riseTime': { value: 20, unit: 's' },
            'condenser.fallTime': { value: 20, unit: 's' },
            'condenser.neutralZone': { value: 1, unit: 'K' },
            'condenser.fanCount': 4,
          };
          const { outputs } = run(
            more,
            course.map((liquid) => ({ liquid })),
          );
          for (const [i, o] of outputs.entries()) {
            expect(o >= 0 && o <= 100).toBe(true);
            if (method !== 'onOff' && i > 0)
              expect(Math.abs(o - outputs[i - 1]!)).toBeLessThanOrEqual(5 + 1e-9);
          }
        },
      ),
      { seed: 7, numRuns: 200 },
    );
  });
});
