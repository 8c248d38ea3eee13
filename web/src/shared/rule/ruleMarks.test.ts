import { inWords } from '@brine/core/foundation/sentences';
import { describe, expect, test } from '@jest/globals';
import { check } from '@brine/core/judgement/checks';
import { quantity, valueIn } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import { ruleMarks } from './ruleMarks.ts';
import { ruleStretches } from './ruleStretches.ts';
import { ruleScale } from './scaleOf.ts';

const freezer: SettingValues = {
  'regulation.setpoint': quantity(-9, 'degF'),
  'regulation.differential': quantity(6, 'deltaF'),
  'regulation.differentialPlacement': 'setpointIsCutOut',
  'regulation.setpointMin': quantity(-15, 'degF'),
  'regulation.setpointMax': quantity(0, 'degF'),
  'alarms.reference': 'relative',
  'alarms.highOffset': quantity(16, 'deltaF'),
  'alarms.lowOffset': quantity(8, 'deltaF'),
  'fans.restartCoilTemperature': quantity(25, 'degF'),
};
const fahrenheit = (celsius: number) => Math.round(valueIn(quantity(celsius, 'degC'), 'degF') * 100) / 100;
const at = (values: SettingValues, id: string) =>
  fahrenheit(ruleMarks(values, []).find((m) => m.id === id)!.celsius);

describe('what stands on the rule', () => {
  test('cut-in is 6 above −9, alarms count from the set point', () => {
    expect(at(freezer, 'cutOut')).toBe(-9);
    expect(at(freezer, 'cutIn')).toBe(-3);
    expect(at(freezer, 'high')).toBe(7);
    expect(at(freezer, 'low')).toBe(-17);
    expect(at(freezer, 'fans.restartCoilTemperature')).toBe(25);
  });

  test('a flag that is moved stands where it was put, for every placement of the band', () => {
    for (const placement of ['setpointIsCutOut', 'setpointIsCutIn', 'setpointIsMiddle'] as const) {
      const values = { ...freezer, 'regulation.differentialPlacement': placement };
      for (const mark of ruleMarks(values, [])) {
        const wanted = fahrenheit(mark.celsius) + 2;
        const moved = { ...values, ...mark.move(valueIn(quantity(wanted, 'degF'), 'degC'), 'degF') };
        // Moving the cut-in changes the width; with the middle given, both ends move by half of it, so the flag is only half-way.
        if (mark.id === 'cutIn' && placement !== 'setpointIsCutOut') continue;
        expect(`${placement} ${mark.id} ${at(moved, mark.id)}`).toBe(`${placement} ${mark.id} ${wanted}`);
      }
    }
  });

  test('moving the set point takes relative alarms with it', () => {
    const mark = ruleMarks(freezer, []).find((m) => m.id === 'cutOut')!;
    const moved = { ...freezer, ...mark.move(valueIn(quantity(-5, 'degF'), 'degC'), 'degF') };
    expect(at(moved, 'high')).toBe(11);
  });

  test('what collides says so on its flag', () => {
    const values = { ...freezer, 'alarms.highOffset': quantity(3, 'deltaF') };
    const high = ruleMarks(values, check(values, null)).find((m) => m.id === 'high')!;
    expect(inWords(high.problem ?? '')).toContain('sounds in normal running');
    expect(ruleMarks(freezer, check(freezer, null)).every((m) => m.problem === null)).toBe(true);
  });

  test('below the line: the end user, the working band, where product must not stand', () => {
    const kinds = ruleStretches(freezer, { goods: 'frozenFish' } as never).map((s) => s.kind);
    expect(kinds).toEqual(['user', 'band', 'tooWarm']);
  });

  test('the scale holds every mark inside, in either unit', () => {
    const marks = ruleMarks(freezer, []).map((m) => m.celsius);
    for (const unit of ['degC', 'degF'] as const) {
      const scale = ruleScale(marks, unit, 1000);
      for (const celsius of marks) {
        const x = scale(valueIn(quantity(celsius, 'degC'), unit));
        expect(x).toBeGreaterThan(20);
        expect(x).toBeLessThan(980);
      }
    }
  });
});

test('a tank has no fan and no coil to be flagged', () => {
  const values = { ...freezer, 'fans.stopCoilTemperature': { value: 40, unit: 'degF' } } as typeof freezer;
  const settings = (application?: 'chilledWaterTank') =>
    ruleMarks(values, [], application).map((m) => m.setting);
  expect(settings()).toContain('fans.stopCoilTemperature');
  expect(settings('chilledWaterTank').filter((id) => /^(fans|defrost)\./.test(id))).toEqual([]);
});
