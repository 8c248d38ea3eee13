import { describe, expect, test } from '@jest/globals';
import type { ControlEvent } from '../../box/control/event.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { runCondenser, type CondenserRun } from '../plant/run.ts';
import { condenserAtRest, type CondenserInputs } from './condenserState.ts';
import { fansOf } from './condenserConfig.ts';
import { tickCondenser } from './tickCondenser.ts';

const c = (value: number) => ({ value, unit: 'degC' }) as const;
const k = (value: number) => ({ value, unit: 'K' }) as const;
const base: SettingValues = {
  'condenser.setpoint': c(30),
  'condenser.differential': k(4),
  'condenser.method': 'proportional',
  'condenser.speedMin': { value: 20, unit: '%' },
};

/** The fans over a course of readings, a second each: outputs in percent, and what was told. */
function over(more: SettingValues, course: readonly (number | Partial<CondenserInputs>)[]) {
  const config = fansOf({ ...base, ...more })!;
  const state = condenserAtRest(config);
  const events: ControlEvent[] = [];
  const quiet: CondenserInputs = {
    liquid: 30,
    backup: null,
    outdoor: null,
    compressor: true,
    quiet: false,
    overload: false,
    timeOfDay: 0,
  };
  const outputs = course.map((one) => {
    const inputs = { ...quiet, ...(typeof one === 'number' ? { liquid: one } : one) };
    return Math.round(100 * tickCondenser(config, state, inputs, (event) => void events.push(event)));
  });
  return { outputs, events };
}

// Times and temperatures below are worked out by hand from docs/control.md, rule 9.

describe('cut-off differential', () => {
  const cut: SettingValues = {
    // A point far below, so that nothing but the cut-off stops the fans.
    'condenser.setpoint': c(5),
    'condenser.cutOff': true,
    'condenser.cutOffTemperature': c(18),
  };

  test('once cut, fans run again only above the cut-off by it', () => {
    const course = [20, 18, 17.9, 18.5, 21.9, 22, 20, 18, 17];
    expect(over({ ...cut, 'condenser.cutOffDifferential': k(4) }, course).outputs).toEqual([
      100, 100, 0, 0, 0, 100, 100, 100, 0,
    ]);
  });

  test('without one they are back at the cut-off itself, as ever', () => {
    expect(over(cut, [18, 17.9, 18, 17.9]).outputs).toEqual([100, 0, 100, 0]);
  });
});

describe('condensing alarms as distances from the set point in force', () => {
  const relative: SettingValues = {
    'condenser.alarmReference': 'relative',
    'condenser.highOffset': k(20),
    'condenser.lowOffset': k(15),
    'condenser.alarmDifferential': k(2),
    // Limits as temperatures stand in the control too, and are not in force.
    'condenser.highTemperature': c(33),
    'condenser.lowTemperature': c(29),
  };
  const alarms = (events: readonly ControlEvent[]) =>
    events
      .filter(({ kind }) => kind === 'alarmCause')
      .map(({ t, reason, value }) => `${t} ${reason} ${String(value)}`);

  test('sound beyond the set point by them, and clear a differential inside', () => {
    expect(alarms(over(relative, [49.9, 50, 48.1, 48, 15.1, 15, 17]).events)).toEqual([
      '1 highCondensing true',
      '3 highCondensing false',
      '5 lowCondensing true',
      '6 lowCondensing false',
    ]);
  });

  test('move with a floating set point', () => {
    const floating: SettingValues = {
      ...relative,
      'condenser.outdoorProbe': true,
      'condenser.floating': true,
      'condenser.floatingDifference': k(10),
    };
    // Outdoors 10: the point is 20, so the limits are 40 and 5.
    const course = [39.9, 40, 30].map((liquid) => ({ liquid, outdoor: 10 }));
    expect(alarms(over(floating, course).events)).toEqual([
      '1 highCondensing true',
      '2 highCondensing false',
    ]);
  });

  test('absolute ones stay where they are', () => {
    expect(alarms(over({ ...relative, 'condenser.alarmReference': 'absolute' }, [32, 33]).events)).toEqual([
      '1 highCondensing true',
    ]);
  });
});

describe('fans that nothing controls', () => {
  const day = (more: SettingValues) => {
    const run: CondenserRun = {
      config: fansOf({ ...base, 'condenser.fanCount': 2, ...more })!,
      plant: {
        capacity: 9000,
        compressors: 2,
        evaporating: -8,
        ratedCondensing: 40,
        conductance: 900,
        clean: 1,
        heatCapacity: 40_000,
        fanWatts: 120,
        fans: 4,
        subcooling: 3,
        lag: 40,
        lowestCondensing: 18,
      },
      outdoor: { low: -2, high: 6 },
      hours: 6,
      warmUpHours: 2,
    };
    return runCondenser(run, 60)!;
  };
  const coldest = (more: SettingValues) => Math.min(...day(more).series.map(({ condensing }) => condensing));

  test('run whenever there is power: the pressure falls further in the cold', () => {
    const all = coldest({});
    expect(coldest({ 'condenser.fansFitted': 2 })).toBe(all);
    expect(coldest({ 'condenser.fansFitted': 4 })).toBeLessThan(all - 2);
  });

  test('what an output gives decides nothing: volts or mains by phase angle, the same second by second', () => {
    const volts = day({ 'condenser.driveType': 'voltage' });
    const phase = day({ 'condenser.driveType': 'phaseCut' });
    expect(phase.series).toEqual(volts.series);
  });
});
