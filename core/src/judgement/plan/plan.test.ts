import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import { baseValue, isQuantity, quantity, valueIn } from '../../foundation/quantities/index.ts';
import {
  applications,
  isFreezer,
  isHeated,
  isMachine,
  validateSet,
  type Application,
} from '../../foundation/settings/index.ts';
import { alarmLimits, switchingBand } from '../../foundation/regulation/index.ts';
import { check } from '../checks/check.ts';
import { goods, type GoodsId } from '../../foundation/unit/goods.ts';
import { schools, type SchoolId } from '../../foundation/unit/schools.ts';
import { plainUnit } from '../../../testing/units.ts';
import { doorUses, type UnitDescription } from '../../foundation/unit/unit.ts';
import { plan, valuesOf } from './plan.ts';

const freezer = plainUnit('walkInFreezer', { displayUnit: 'fahrenheit' });

function fitting(application: Application): GoodsId[] {
  return (Object.keys(goods) as GoodsId[]).filter(
    (id) =>
      id !== 'nothing' &&
      goods[id].frozen === isFreezer(application) &&
      (id === 'hotFood') === isHeated(application),
  );
}

/** Every application, its goods, both units, every door, every side of every school. */
const everyUnit: UnitDescription[] = applications
  .filter((one) => !isMachine(one))
  .flatMap((application) =>
    fitting(application).flatMap((id) =>
      (['fahrenheit', 'celsius'] as const).flatMap((displayUnit) =>
        doorUses.flatMap((doorUse) =>
          // Every side with a normal door; the other doors with the usual sides.
          (doorUse === 'normal' ? sides() : [{}]).map((one): UnitDescription => ({
            ...freezer,
            application,
            goods: id,
            defrostMethod: isFreezer(application) ? 'electric' : isHeated(application) ? 'none' : 'offCycle',
            displayUnit,
            doorUse,
            schools: one,
          })),
        ),
      ),
    ),
  );

function sides(): Partial<Record<SchoolId, string>>[] {
  return (Object.keys(schools) as SchoolId[]).flatMap((id) =>
    Object.keys(schools[id].sides).map((side) => ({ [id]: side })),
  );
}

describe('a plan', () => {
  test('is computed from the limit of the product downward', () => {
    // −18 °C is −0.4 °F; 1 K of margin is 1.8 dF: −2.2, whole degrees to the cold side −3; 6 dF below that −9.
    const band = switchingBand(valuesOf(plan(freezer)))!;
    expect(valueIn(quantity(band.cutIn, 'degC'), 'degF')).toBeCloseTo(-3, 9);
    expect(valueIn(quantity(band.cutOut, 'degC'), 'degF')).toBeCloseTo(-9, 9);
  });

  test('of every kind of unit is possible, keeps the product inside its limits, and its alarms outside the band', () => {
    for (const unit of everyUnit) {
      const values = valuesOf(plan(unit));
      const band = switchingBand(values)!;
      const limits = alarmLimits(values);
      const kept = goods[unit.goods];
      const about = JSON.stringify([
        unit.application,
        unit.goods,
        unit.displayUnit,
        unit.doorUse,
        unit.schools,
      ]);
      expect([about, validateSet(values)]).toEqual([about, []]);
      const [bottom, top] = [Math.min(band.cutIn, band.cutOut), Math.max(band.cutIn, band.cutOut)];
      if (kept.max) expect(top).toBeLessThanOrEqual(baseValue(kept.max.value) + 1e-6);
      if (kept.min) expect(bottom).toBeGreaterThanOrEqual(baseValue(kept.min.value) - 1e-6);
      expect(limits.high!).toBeGreaterThan(top);
      expect(limits.low!).toBeLessThan(bottom);
    }
    expect(everyUnit.length).toBeGreaterThan(1500);
  });

  test('raises no error on its own values, whatever side is taken, unless the user range was left open', () => {
    for (const unit of everyUnit) {
      const bad = check(valuesOf(plan(unit)), unit).filter((f) => f.severity === 'error');
      expect([unit.goods, unit.schools, bad]).toEqual([unit.goods, unit.schools, []]);
    }
  });

  test('shows whole degrees of the display', () => {
    for (const unit of everyUnit)
      for (const { value } of plan(unit).settings)
        if (isQuantity(value) && !['h', 'min', 's'].includes(value.unit)) {
          expect(Number.isInteger(value.value)).toBe(true);
          expect(['degF', 'deltaF'].includes(value.unit)).toBe(unit.displayUnit === 'fahrenheit');
        }
  });

  test('every value has a reason and each setting stands once', () => {
    const { settings } = plan({ ...freezer, doorContact: true, schools: { freezerFans: 'cycle' } });
    expect(settings.every((s) => inWords(s.reason).length > 15)).toBe(true);
    expect(new Set(settings.map((s) => s.setting)).size).toBe(settings.length);
  });

  test('a side of the job beats the company’s, which beats the usual one', () => {
    const fault = (unit: UnitDescription) => valuesOf(plan(unit))['compressor.onProbeFault'];
    expect(fault(freezer)).toBe('dutyCycle');
    expect(fault({ ...freezer, companyDefaults: { probeFailure: 'run' } })).toBe('run');
    expect(
      fault({ ...freezer, companyDefaults: { probeFailure: 'run' }, schools: { probeFailure: 'stop' } }),
    ).toBe('stop');
  });

  test('a rack keeps the off time of its own compressors, a compressor of its own never goes without', () => {
    const rest = (unit: UnitDescription) => valuesOf(plan(unit))['compressor.minOffTime'];
    expect(rest({ ...freezer, compressor: 'rackSolenoid' })).toEqual({ value: 0, unit: 'min' });
    expect(rest({ ...freezer, schools: { restartProtection: 'none' } })).toEqual({ value: 3, unit: 'min' });
    expect(rest({ ...freezer, schools: { restartProtection: 'long' } })).toEqual({ value: 5, unit: 'min' });
  });

  test('without a coil probe defrost ends by time and the fan by the clock', () => {
    const values = valuesOf(plan({ ...freezer, probes: ['air'] }));
    expect(values['defrost.termination']).toBe('time');
    expect(values).not.toHaveProperty(['defrost.endTemperature']);
    expect(values).not.toHaveProperty(['fans.restartCoilTemperature']);
  });

  test('busier doors mean defrosts at least as often', () => {
    const hours = doorUses.map(
      (doorUse) => (valuesOf(plan({ ...freezer, doorUse }))['defrost.interval'] as { value: number }).value,
    );
    expect(hours).toEqual([...hours].sort((a, b) => b - a));
  });
});

describe('what a survey says besides', () => {
  const valueOf = (unit: UnitDescription) => valuesOf(plan(unit));
  const celsius = (value: unknown) => (isQuantity(value) ? baseValue(value) : Number.NaN);

  test.each([
    ['cellar', 'ripeningCheese'],
    ['walkInCooler', 'chilledFood'],
    ['pharmacyRefrigerator', 'medicine'],
    ['chilledWaterTank', 'liveShellfish'],
    ['merchandiser', 'drinks'],
  ] as const)('a %s that heats too: both stages stand apart, inside the limits of %s', (kind, id) => {
    for (const displayUnit of ['celsius', 'fahrenheit'] as const) {
      const unit = plainUnit(kind, { goods: id, heats: true, displayUnit });
      const values = valueOf(unit);
      const errors = check(values, unit).filter((f) => f.severity === 'error');
      expect(errors).toEqual([]);
      // Oracle: by hand, heat ends at set point + offset and begins a differential lower.
      const heatsTo = celsius(values['regulation.setpoint']) + celsius(values['stage2.offset']);
      expect(heatsTo).toBeLessThanOrEqual(celsius(values['regulation.setpoint']) - 1);
      const least = goods[id].min;
      const begins = heatsTo - celsius(values['stage2.differential']);
      // The product follows the air slowly: a degree below its limit where heat begins is not felt.
      if (least) expect(begins).toBeGreaterThanOrEqual(baseValue(least.value) - 1.01);
    }
    expect(valueOf(plainUnit(kind))['stage2.function']).toBeUndefined();
  });

  test('a heater of 0 W heats nothing: no stage is planned for it', () => {
    const tank = plainUnit('chilledWaterTank', { heats: true, facts: { heaterWatts: 0 } });
    expect(valueOf(tank)['stage2.function']).toBe('none');
  });

  test('pump-down: each call is a start, and the fan runs on while the coil is pumped empty', () => {
    const stopped = { schools: { refrigeratorFans: 'stop', restartProtection: 'none' } };
    const unit = plainUnit('walkInCooler', { compressor: 'pumpDown', ...stopped });
    expect(valueOf(unit)).toMatchObject({
      'compressor.minOffTime': { value: 3, unit: 'min' },
      'fans.runOnTime': { value: 2, unit: 'min' },
    });
    expect(valueOf({ ...unit, compressor: 'rackSolenoid' })['fans.runOnTime']).toBeUndefined();
  });

  test('a drain pump calls by a contact that opens; in a bottle little delay is added and the band is narrow', () => {
    const plain = plainUnit('pharmacyRefrigerator');
    const values = valueOf({ ...plain, drainPump: true, probePlace: 'bottle', probeTypes: ['pt1000'] });
    expect(values).toMatchObject({
      'inputs.alarmContact': 'opensOnAlarm',
      'alarms.inputAction': 'warn',
      'alarms.delay': { value: 10, unit: 'min' },
      'regulation.differential': { value: 1, unit: 'K' },
      'probes.sensorType': 'pt1000',
    });
    expect(valueOf(plain)['probes.sensorType']).toBeUndefined();
  });

  test('a product of one’s own is planned by its own limits, with their source in the reason', () => {
    const product = {
      name: 'Starter',
      max: { value: 10, unit: 'degC' },
      min: { value: 6, unit: 'degC' },
      source: 'bakery’s sheet',
    } as const;
    const unit = plainUnit('walkInCooler', { goods: 'own', product });
    const { settings } = plan(unit);
    const point = settings.find((s) => s.setting === 'regulation.setpoint')!;
    const differential = settings.find((s) => s.setting === 'regulation.differential')!;
    expect(celsius(point.value)).toBeGreaterThanOrEqual(6);
    expect(celsius(point.value) + celsius(differential.value)).toBeLessThanOrEqual(10);
    expect(inWords(point.reason)).toContain('starter may stand at 10 °C (bakery’s sheet)');
  });
});
