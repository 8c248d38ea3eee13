import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { plan, valuesOf } from '../plan/plan.ts';
import { plainUnit } from '../../../testing/units.ts';
import { check } from './check.ts';
import { remedyFor } from './remedy.ts';

const unit = plainUnit('walkInFreezer');
const planned = valuesOf(plan(unit));
const c = (value: number) => ({ value, unit: 'degC' as const });
const k = (value: number) => ({ value, unit: 'K' as const });
const min = (value: number) => ({ value, unit: 'min' as const });

/** Mistakes of the trade, each made in a sound plan. */
const mistakes: readonly [string, SettingValues][] = [
  ['cutInAboveGoodsLimit', { 'regulation.setpoint': c(-18), 'regulation.setpointMax': c(-18) }],
  ['highAlarmInsideBand', { 'alarms.highTemperature': c(-21) }],
  ['lowAlarmAboveCutOut', { 'alarms.lowTemperature': c(-20) }],
  ['highAlarmAboveGoodsLimit', { 'alarms.highTemperature': c(5) }],
  ['alarmNeverFree', { 'alarms.defrostExclusion': min(400) }],
  ['intervalTooShort', { 'defrost.interval': min(60) }],
  ['offCycleBelowFreezing', { 'defrost.method': 'offCycle' }],
  ['fanRestartAboveFanStop', { 'fans.restartCoilTemperature': c(10) }],
  ['endTemperatureTooLow', { 'defrost.endTemperature': c(4) }],
  ['noRest', { 'compressor.minOffTime': min(0) }],
  ['mutedTooShort', { 'alarms.defrostExclusion': min(0), 'alarms.delay': min(10) }],
  ['noHighAlarm', { 'alarms.reference': 'none' }],
  ['userRangeAboveGoodsLimit', { 'regulation.setpointMax': c(-10) }],
  ['outsideSoundRange', { 'defrost.drainTime': min(30) }],
  [
    'stagesFight',
    {
      'stage2.function': 'thermostat',
      'stage2.action': 'heat',
      'stage2.reference': 'absolute',
      'stage2.setpoint': c(-20),
      'stage2.differential': k(1),
    },
  ],
  ['withoutItsProbe', { 'condenser.floating': true }],
  ['withoutItsProbe', { 'condenser.quietSource': 'clock' }],
];

describe('a remedy takes its mistake away and brings no error (oracle: the checks run again)', () => {
  test('the plan has none of these mistakes', () =>
    expect(check(planned, unit).filter((f) => mistakes.some(([code]) => code === f.code))).toEqual([]));

  test.each(mistakes)('%s', (code, change) => {
    const values = { ...planned, ...change };
    const finding = check(values, unit).find((f) => f.code === code)!;
    expect(finding).toBeDefined();
    const remedy = remedyFor(finding, values, unit)!;
    expect(remedy).not.toBeNull();
    const after = check({ ...values, ...remedy.values }, unit);
    expect(after.filter((f) => f.code === code)).toEqual([]);
    expect(after.filter((f) => f.severity === 'error')).toEqual([]);
    expect(inWords(remedy.words)).toMatch(/\w/);
  });

  test('without a coil probe it ends by time', () => {
    const finding = check(planned, { ...unit, probes: ['air'] }).find(
      (f) => f.code === 'endTemperatureWithoutCoilProbe',
    )!;
    expect(remedyFor(finding, planned, { ...unit, probes: ['air'] })?.values).toEqual({
      'defrost.termination': 'time',
    });
  });
});

describe('what no value mends', () => {
  test.each<[string, SettingValues, SettingValues | null]>([
    ['decimalSlip', { 'probes.airSlope': 10.079 }, null],
    ['offsetForgotten', {}, { 'probes.airOffset': k(-3) }],
  ])('%s is said', (code, change, found) => {
    const values = { ...planned, ...change };
    const finding = check(values, unit, found).find((f) => f.code === code)!;
    expect(finding).toBeDefined();
    if (code === 'offsetForgotten') expect(remedyFor(finding, values, unit)).toBeNull();
  });

  test('an old offset that is kept, or none, says nothing', () => {
    const kept = { ...planned, 'probes.airOffset': k(-3) };
    expect(check(kept, unit, { 'probes.airOffset': k(-3) }).some((f) => f.code === 'offsetForgotten')).toBe(
      false,
    );
    expect(check(planned, unit, {}).some((f) => f.code === 'offsetForgotten')).toBe(false);
  });

  test('values that their master disables are named with it', () => {
    const values = { ...planned, 'alarms.reference': 'absolute', 'alarms.highOffset': k(8) } as SettingValues;
    expect(check(values, unit).find((f) => f.code === 'notInForce')?.settings).toContain('alarms.highOffset');
  });
});
