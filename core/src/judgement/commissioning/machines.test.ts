import { describe, expect, test } from '@jest/globals';
import { plan } from '../plan/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { family } from '../../../testing/families.ts';
import { plainUnit } from '../../../testing/units.ts';
import { commissioningTests } from './list.ts';
import { groups, judgeValue, type CommissioningTest } from './test.ts';

type Unit = ReturnType<typeof plainUnit>;
const planned = (unit: Unit) =>
  Object.fromEntries(plan(unit).settings.map((s) => [s.setting, s.value])) as SettingValues;

function tests(unit: Unit, control: string, more: SettingValues = {}): readonly CommissioningTest[] {
  const list = commissioningTests({
    unit,
    control: family(control),
    values: { ...planned(unit), ...more },
    circuit: null,
    loads: [],
    predicted: null,
    display: 'degC',
  });
  if (typeof list === 'string') throw new Error(list);
  const order = list.map((t) => groups.indexOf(t.group));
  expect(order).toEqual(order.toSorted((a, b) => a - b));
  expect(new Set(list.map((t) => t.id)).size).toBe(list.length);
  return list;
}
const ids = (list: readonly CommissioningTest[]) => list.map((t) => t.id);
const one = (list: readonly CommissioningTest[], id: string) => list.find((t) => t.id === id)!;
const C = (value: number) => ({ value, unit: 'degC' }) as const;
const K = (value: number) => ({ value, unit: 'K' }) as const;

describe('fans of a condenser', () => {
  const unit = plainUnit('condenserFans', { probes: ['liquid', 'outdoor'], refrigerant: 'R-404A' });

  test('nothing of a box is asked, and what the settings do is', () => {
    const list = tests(unit, 'firth-rack');
    expect(ids(list).filter((id) => /pullDown|defrost|^door|probes\.air/.test(id))).toEqual([]);
    expect(ids(list)).toEqual(
      expect.arrayContaining(['fans.holds', 'fans.rise', 'probes.liquid', 'alarms.high']),
    );
    expect(one(list, 'dead.probes').how.join(' ')).toMatch(/liquid line/);
  });

  // Oracle: rule 9 in closed form: of n fans, fan k starts at S + k·D/n, the last one stops at S.
  test.each([
    [1, 36],
    [2, 33],
    [4, 31.5],
  ])('%i on-off fans: the first starts at %f °C, the last stops at the set point', (fanCount, first) => {
    const list = tests(unit, 'firth-rack', {
      'condenser.method': 'onOff',
      'condenser.setpoint': C(30),
      'condenser.differential': K(6),
      'condenser.fanCount': fanCount,
    });
    const start = one(list, 'fans.first');
    expect(judgeValue(start, first)).toBe('passed');
    expect(judgeValue(start, first + 1.5)).toBe('failed');
    expect(judgeValue(one(list, 'fans.last'), 30)).toBe('passed');
    expect(ids(list).includes('fans.order')).toBe(fanCount > 1);
    expect(ids(list)).not.toContain('fans.mostVolts');
  });

  // Oracle: proportional is full at S + D; with an integral it comes to rest at S; the neutral zone leaves it within ± the zone.
  test.each([
    ['proportional', 36, 29],
    ['proportionalIntegral', 30, 31.5],
    ['neutralZone', 28, 26.5],
  ] as const)('%s may rest at %f °C, not at %f °C', (method, at, not) => {
    const list = tests(unit, 'firth-rack', {
      'condenser.method': method,
      'condenser.setpoint': C(30),
      'condenser.differential': K(6),
      'condenser.neutralZone': K(2),
      'condenser.floating': false,
    });
    expect(judgeValue(one(list, 'fans.holds'), at)).toBe('passed');
    if (method !== 'proportional') expect(judgeValue(one(list, 'fans.holds'), not)).toBe('failed');
    expect(judgeValue(one(list, 'fans.holds'), 28.9 - (method === 'neutralZone' ? 2 : 0))).toBe('failed');
    expect(ids(list)).not.toContain('fans.floats');
  });

  test('a floating set point rests between its limits, and goes to the highest without its probe', () => {
    const list = tests(unit, 'firth-rack', {
      'condenser.floating': true,
      'condenser.outdoorProbe': true,
      'condenser.setpointMin': C(24),
      'condenser.setpointMax': C(41),
    });
    expect(one(list, 'fans.holds').measure).toMatchObject({ least: 23, most: 42 });
    expect(one(list, 'probes.outdoor').expect).toContain('41 °C');
  });

  test('fault output, backup, quiet cap and overload are told as they are set', () => {
    const list = tests(unit, 'firth-rack', {
      'condenser.probeFaultOutput': { value: 45, unit: '%' },
      'condenser.quietSource': 'clock',
      'condenser.quietCap': { value: 55, unit: '%' },
      'condenser.quietStart': '22:00',
      'condenser.quietEnd': '05:30',
      'condenser.overloadInput': true,
      'condenser.overloadReset': 'manual',
    });
    expect(one(list, 'probes.liquid').expect).toContain('45 %');
    expect(one(list, 'fans.quiet').expect).toMatch(/22:00 to 05:30 .*55 %/);
    expect(one(list, 'alarms.overload').expect).toMatch(/“CHAIN”.*by hand/);
    const backed = tests(unit, 'firth-rack', { 'condenser.backupProbe': true });
    expect(one(backed, 'probes.liquid').expect).toContain('second liquid probe');
  });

  test('on a control of one relay they are fans all the same', () => {
    const list = tests(unit, 'tarn-1', {
      'condenser.setpoint': undefined,
      'regulation.setpoint': C(28),
      'regulation.differential': K(6),
    } as unknown as SettingValues);
    expect(one(list, 'outputs.compressor').title).toBe('Fans on the condenser');
    expect(one(list, 'probes.air').title).toBe('Liquid probe fails');
    expect(ids(list)).not.toContain('regulation.pullDown');
  });
});

describe('a transport unit', () => {
  const unit = plainUnit('transportUnit', { goods: 'dairy' });
  const set: SettingValues = {
    'transport.runMode': 'startStop',
    'transport.autoStart': true,
    'transport.confirmTime': { value: 10, unit: 's' },
    'transport.inRangeBand': K(2),
    'regulation.setpoint': C(2),
  };

  test('it starts by itself, reverts what is not confirmed, shows in range two kelvins above', () => {
    const list = tests(unit, 'corrie-haul', set);
    expect(one(list, 'transport.start')).toMatchObject({
      expect: expect.stringContaining('by itself'),
      caution: expect.stringContaining('take the key'),
    });
    const confirm = one(list, 'transport.confirm');
    expect([judgeValue(confirm, 10), judgeValue(confirm, 60)]).toEqual(['passed', 'failed']);
    expect(judgeValue(one(list, 'transport.inRange'), 4)).toBe('passed');
    expect(judgeValue(one(list, 'transport.charge'), -3)).toBe('failed');
  });

  test('a high alarm is the air’s, not the pressure’s', () =>
    expect(one(tests(unit, 'corrie-haul', set), 'alarms.high').expect).toContain('“14”'));

  test('a box that stands still has none of it', () =>
    expect(
      ids(tests(plainUnit('walkInCooler'), 'skerry-dx')).filter((id) => id.startsWith('transport')),
    ).toEqual([]));
});

describe('a heat meter', () => {
  const unit = plainUnit('heatMeter', { probes: ['supply', 'return'] });
  const list = tests(unit, 'sluice-h', {
    'meter.supplySlope': 1.0021,
    'meter.supplyOffset': -0.184,
    'meter.returnSlope': 0.9978,
    'meter.returnOffset': 0.317,
  });

  test('tags are read back as they were typed, digit by digit', () => {
    const { expect: said } = one(list, 'meter.tags');
    for (const digits of ['1.0021', '−0.184', '0.9978', '0.317']) expect(said).toContain(digits);
  });
  test('a pair that differs by 0.3 K fails; a heat 5 % off fails', () => {
    expect([judgeValue(one(list, 'meter.pair'), -0.05), judgeValue(one(list, 'meter.pair'), 0.3)]).toEqual([
      'passed',
      'failed',
    ]);
    expect(judgeValue(one(list, 'meter.heat'), -5)).toBe('failed');
  });
  test('it regulates nothing: no outputs, no alarms of product, nothing starts by itself', () => {
    expect(ids(list).filter((id) => /^(regulation|defrost|alarms|door|outputs)\./.test(id))).toEqual([]);
    expect(one(list, 'memory.kept').caution).toBeNull();
    expect(one(list, 'probes.supply').expect).toContain('“E.SUP”');
  });
});
