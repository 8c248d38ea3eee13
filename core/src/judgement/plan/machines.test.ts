import { describe, expect, test } from '@jest/globals';
import { fansOf } from '../../machines/condenser/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { lowestCondensing } from '../../foundation/refrigerants/index.ts';
import {
  isSettingId,
  validateSet,
  type SettingId,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { check } from '../checks/check.ts';
import { schools } from '../../foundation/unit/schools.ts';
import { plan, valuesOf } from './plan.ts';

const number = (values: SettingValues, id: SettingId) => {
  const value = values[id];
  return isQuantity(value) ? baseValue(value) : Number.NaN;
};

describe('condenser fans', () => {
  const fans = (more = {}) =>
    plainUnit('condenserFans', {
      goods: 'nothing',
      defrostMethod: 'none',
      probes: ['liquid', 'outdoor'],
      refrigerant: 'R-404A',
      ...more,
    });

  test.each(Object.keys(schools.fanRegulation.sides))(
    '%s: a set that runs, with no finding worse than a note',
    (side) => {
      for (const displayUnit of ['celsius', 'fahrenheit'] as const) {
        const unit = fans({ displayUnit, schools: { fanRegulation: side } });
        const values = valuesOf(plan(unit));
        expect(validateSet(values)).toEqual([]);
        expect(check(values, unit).filter((f) => f.severity !== 'note')).toEqual([]);
        expect(fansOf(values)!.method).toBe(side);
        expect(Object.keys(values).every((id) => isSettingId(id) && !id.startsWith('regulation.'))).toBe(
          true,
        );
      }
    },
  );

  test('stays above what the valve needs, alarms outside the set points, floats only with an outdoor probe', () => {
    for (const refrigerant of ['R-134a', 'R-404A', 'R-290', 'R-449A']) {
      const values = valuesOf(plan(fans({ refrigerant })));
      const lowest = lowestCondensing(refrigerant, -8).celsius;
      expect(number(values, 'condenser.setpointMin')).toBeGreaterThan(lowest);
      expect(number(values, 'condenser.setpoint')).toBeGreaterThanOrEqual(
        number(values, 'condenser.setpointMin'),
      );
      expect(number(values, 'condenser.highTemperature')).toBeGreaterThan(
        number(values, 'condenser.setpointMax') + number(values, 'condenser.differential'),
      );
      expect(number(values, 'condenser.lowTemperature')).toBeLessThan(
        number(values, 'condenser.setpointMin'),
      );
    }
    expect(valuesOf(plan(fans({ probes: ['liquid'] })))['condenser.floating']).toBe(false);
  });
});

describe('transport units', () => {
  const van = (goods: 'produce' | 'frozenFish' | 'dairy') =>
    valuesOf(plan(plainUnit('transportUnit', { goods, defrostMethod: 'hotGas' })));
  test('continuous for what breathes, start-stop for frozen (common practice)', () => {
    expect(van('produce')['transport.runMode']).toBe('continuous');
    expect(van('frozenFish')['transport.runMode']).toBe('startStop');
    expect(number(van('frozenFish'), 'transport.confirmTime')).toBe(10);
  });
  test('frozen product makes a freezer of it', () =>
    expect(number(van('frozenFish'), 'regulation.setpoint')).toBeLessThan(-18));
});
