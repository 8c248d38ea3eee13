import { describe, expect, test } from '@jest/globals';
import { applications, isFreezer, type SettingValues } from '../../foundation/settings/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { goods, goodsOf, type GoodsId } from '../../foundation/unit/index.ts';
import { plan, valuesOf } from '../plan/index.ts';
import { check } from './check.ts';

const unusual = (...args: Parameters<typeof check>) =>
  check(...args).filter((finding) => finding.code === 'outsideSoundRange');
const boxes = applications.filter((a) => a !== 'condenserFans' && a !== 'heatMeter');

describe('what is usual', () => {
  // Oracle: the plan itself, whose values may not be called unusual by the same house.
  test.each(boxes)(
    'nothing planned for a %s is called unusual where product and box go together',
    (application) => {
      for (const id of Object.keys(goods) as GoodsId[]) {
        if (goodsOf({ goods: id }).frozen !== isFreezer(application)) continue;
        for (const defrostMethod of ['none', 'offCycle', 'electric', 'hotGas'] as const) {
          const unit = plainUnit(application, { goods: id, defrostMethod });
          expect([id, defrostMethod, unusual(valuesOf(plan(unit)), unit)]).toEqual([id, defrostMethod, []]);
        }
      }
    },
  );

  test('frozen food in a cooler is', () => {
    const unit = plainUnit('walkInCooler', { goods: 'frozenFood' });
    expect(unusual(valuesOf(plan(unit)), unit).map((f) => f.settings[0])).toContain('regulation.setpoint');
  });

  test('what strays from plan and range is', () => {
    const unit = plainUnit('walkInCooler', { goods: 'freshFish' });
    const values = { ...valuesOf(plan(unit)), 'regulation.setpoint': { value: -4, unit: 'degC' } as const };
    expect(unusual(values, unit).map((f) => f.settings[0])).toContain('regulation.setpoint');
  });

  test('a condenser on a control made for a box is not measured by boxes', () => {
    const unit = plainUnit('condenserFans', { probes: ['liquid'] });
    const values = { 'regulation.setpoint': { value: 28, unit: 'degC' } as const };
    expect(unusual(values, unit)).toEqual([]);
    expect(unusual({ 'condenser.speedMin': { value: 2, unit: '%' } }, unit)).toHaveLength(1);
  });
});

test('with demand the interval is a backstop: 24 h are no unusual interval', () => {
  const unit = plainUnit('walkInFreezer');
  const at = (initiation: string) =>
    check(
      { 'defrost.initiation': initiation, 'defrost.interval': { value: 24, unit: 'h' } } as SettingValues,
      unit,
    ).filter((f) => f.code === 'outsideSoundRange' && f.settings.includes('defrost.interval'));
  expect(at('interval')).toHaveLength(1);
  expect(at('demand')).toHaveLength(0);
});

test('a first stage that heats a cooler is wrong, unless the second one cools it', () => {
  const unit = plainUnit('walkInCooler');
  const wrong = (values: SettingValues) =>
    check(values, unit).filter(({ code }) => code === 'wrongAction').length;
  const heats: SettingValues = { 'regulation.action': 'heat' };
  const second = (action: string): SettingValues => ({
    'stage2.function': 'thermostat',
    'stage2.action': action,
  });
  expect(wrong(heats)).toBe(1);
  expect(wrong({ ...heats, ...second('cool') })).toBe(0);
  expect(wrong({ ...heats, ...second('heat') })).toBe(1);
  // By a probe of its own it regulates another place.
  expect(wrong({ ...heats, ...second('cool'), 'stage2.probe': 'second' })).toBe(1);
});
