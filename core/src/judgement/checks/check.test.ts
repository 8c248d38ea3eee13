import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { UNIT_FORMAT, type UnitDescription } from '../../foundation/unit/unit.ts';
import { alarmLimits, switchingBand } from '../../foundation/regulation/index.ts';
import { check } from './check.ts';

const f = (value: number) => ({ value, unit: 'degF' }) as const;
const dF = (value: number) => ({ value, unit: 'deltaF' }) as const;
const min = (value: number) => ({ value, unit: 'min' }) as const;
const h = (value: number) => ({ value, unit: 'h' }) as const;

const cooler: UnitDescription = {
  format: UNIT_FORMAT,
  application: 'walkInCooler',
  goods: 'chilledFood',
  defrostMethod: 'offCycle',
  probes: ['air'],
};
const freezer: UnitDescription = {
  ...cooler,
  application: 'walkInFreezer',
  goods: 'frozenFood',
  defrostMethod: 'electric',
  probes: ['air', 'coil'],
};

const soundCooler: SettingValues = {
  'regulation.setpoint': f(35),
  'regulation.differential': dF(4),
  'regulation.setpointMin': f(34),
  'regulation.setpointMax': f(37),
  'compressor.minOffTime': min(3),
  'defrost.method': 'offCycle',
  'defrost.initiation': 'interval',
  'defrost.interval': h(6),
  'defrost.maxDuration': min(30),
  'alarms.reference': 'absolute',
  'alarms.highTemperature': f(45),
  'alarms.lowTemperature': f(31),
  'alarms.delay': min(30),
};
const soundFreezer: SettingValues = {
  ...soundCooler,
  'regulation.setpoint': f(-9),
  'regulation.differential': dF(6),
  'regulation.setpointMin': f(-13),
  'regulation.setpointMax': f(-9),
  'defrost.method': 'electric',
  'defrost.termination': 'temperature',
  'defrost.endTemperature': f(55),
  'defrost.drainTime': min(5),
  'probes.coilPresent': true,
  'fans.stopCoilTemperature': f(40),
  'fans.restartCoilTemperature': f(25),
  'alarms.highTemperature': f(6),
  'alarms.lowTemperature': f(-18),
};

const codes = (values: SettingValues, unit: UnitDescription | null) =>
  check(values, unit).map((finding) => finding.code);

describe('the band of a control', () => {
  // Oracle: the pairs of the trade, common practice.
  test.each([
    ['set 38, differential 5', f(38), dF(5), 'setpointIsCutOut', 'cool', 38, 43],
    ['set 36, differential 2', f(36), dF(2), 'setpointIsCutOut', 'cool', 36, 38],
    ['set 37, differential 7', f(37), dF(7), 'setpointIsCutOut', 'cool', 37, 44],
    ['set −7.6, differential 7', f(-7.6), dF(7), 'setpointIsCutOut', 'cool', -7.6, -0.6],
    ['set 38, differential 4, middle', f(38), dF(4), 'setpointIsMiddle', 'cool', 36, 40],
    ['set −3, differential 5, cut-in', f(-3), dF(5), 'setpointIsCutIn', 'cool', -8, -3],
    ['heating, target 55, difference 2', f(55), dF(2), 'setpointIsCutOut', 'heat', 55, 53],
  ] as const)('%s', (_name, setpoint, differential, placement, action, cutOut, cutIn) => {
    const band = switchingBand({
      'regulation.setpoint': setpoint,
      'regulation.differential': differential,
      'regulation.differentialPlacement': placement,
      'regulation.action': action,
    })!;
    expect((band.cutOut * 9) / 5 + 32).toBeCloseTo(cutOut, 9);
    expect((band.cutIn * 9) / 5 + 32).toBeCloseTo(cutIn, 9);
  });

  test('relative limits count from the set point', () => {
    const limits = alarmLimits({
      'regulation.setpoint': f(36),
      'alarms.reference': 'relative',
      'alarms.highOffset': dF(10),
      'alarms.lowOffset': dF(4),
    });
    expect((limits.high! * 9) / 5 + 32).toBeCloseTo(46, 9);
    expect((limits.low! * 9) / 5 + 32).toBeCloseTo(32, 9);
  });
});

describe('sound values raise nothing', () => {
  test('on a cooler', () => expect(check(soundCooler, cooler)).toEqual([]));
  test('on a freezer', () => expect(check(soundFreezer, freezer)).toEqual([]));
});

/** Each mistake beside its near twin above, which raises nothing. */
describe('each mistake is found', () => {
  test.each([
    [
      'cut-in above the product: 38 + 5 restarts at 43',
      soundCooler,
      { 'regulation.setpoint': f(38), 'regulation.differential': dF(5), 'regulation.setpointMax': f(38) },
      cooler,
      'cutInAboveGoodsLimit',
    ],
    [
      'cut-in above the product at the top of the user range',
      soundCooler,
      { 'regulation.setpointMax': f(39) },
      cooler,
      'userRangeAboveGoodsLimit',
    ],
    [
      'cut-out below what the product bears',
      soundCooler,
      { 'regulation.setpoint': f(31), 'regulation.setpointMin': f(30), 'alarms.lowTemperature': f(28) },
      cooler,
      'cutOutBelowGoodsLimit',
    ],
    [
      'high alarm inside the band',
      soundCooler,
      { 'alarms.highTemperature': f(39) },
      cooler,
      'highAlarmInsideBand',
    ],
    [
      'low alarm above cut-out',
      soundCooler,
      { 'alarms.lowTemperature': f(35) },
      cooler,
      'lowAlarmAboveCutOut',
    ],
    [
      'high alarm far above the product',
      soundFreezer,
      { 'alarms.highTemperature': f(20) },
      freezer,
      'highAlarmAboveGoodsLimit',
    ],
    [
      'difference typed as a temperature',
      soundCooler,
      { 'regulation.differential': f(4) as never },
      cooler,
      'differenceTypedAsTemperature',
    ],
    [
      'interval shorter than defrost, drain and recovery',
      soundFreezer,
      { 'defrost.interval': h(1), 'defrost.maxDuration': min(40) },
      freezer,
      'intervalTooShort',
    ],
    [
      'termination temperature without a coil probe',
      soundFreezer,
      { 'probes.coilPresent': false },
      freezer,
      'endTemperatureWithoutCoilProbe',
    ],
    [
      'termination temperature on a unit without a coil probe',
      soundFreezer,
      {},
      { ...freezer, probes: ['air'] as const },
      'endTemperatureWithoutCoilProbe',
    ],
    [
      'fan restart above fan stop',
      soundFreezer,
      { 'fans.restartCoilTemperature': f(45) },
      freezer,
      'fanRestartAboveFanStop',
    ],
    [
      'off-cycle defrost below freezing',
      soundFreezer,
      { 'defrost.method': 'offCycle', 'defrost.termination': 'time' },
      freezer,
      'offCycleBelowFreezing',
    ],
    [
      'set point outside the user range',
      soundCooler,
      { 'regulation.setpointMin': f(36) },
      cooler,
      'setpointOutsideUserRange',
    ],
    ['user range upside down', soundCooler, { 'regulation.setpointMin': f(39) }, cooler, 'userRangeInverted'],
    [
      'no rest on a directly switched compressor',
      soundCooler,
      { 'compressor.minOffTime': min(0) },
      cooler,
      'noRest',
    ],
    [
      'exclusion and delay longer than the time between defrosts',
      soundFreezer,
      { 'alarms.defrostExclusion': h(5), 'alarms.delay': min(60) },
      freezer,
      'alarmNeverFree',
    ],
    [
      'defrost ending at 40 °F',
      soundFreezer,
      { 'defrost.endTemperature': f(40) },
      freezer,
      'endTemperatureTooLow',
    ],
    ['no set point', soundCooler, { 'regulation.setpoint': undefined as never }, cooler, 'missingRequired'],
    ['no alarm', soundCooler, { 'alarms.reference': 'none' }, cooler, 'noHighAlarm'],
    [
      'a differential of 1 dF',
      soundCooler,
      { 'regulation.differential': dF(1) },
      cooler,
      'outsideSoundRange',
    ],
  ] as [string, SettingValues, SettingValues, UnitDescription, string][])(
    '%s',
    (_name, sound, change, unit, code) => {
      const values = Object.fromEntries(
        Object.entries({ ...sound, ...change }).filter(([, v]) => v !== undefined),
      ) as SettingValues;
      expect(codes(values, unit)).toContain(code);
      expect(codes(sound, unit === cooler || unit === freezer ? unit : freezer)).not.toContain(code);
    },
  );

  test('a solenoid on a rack needs no rest', () => {
    expect(
      codes({ ...soundCooler, 'compressor.minOffTime': min(0) }, { ...cooler, compressor: 'rackSolenoid' }),
    ).not.toContain('noRest');
  });

  test('a cooling period of 1 h is no interval of 1 h', () => {
    const values: SettingValues = {
      ...soundFreezer,
      'defrost.interval': h(1),
      'defrost.maxDuration': min(40),
      'defrost.initiation': 'coolingTime',
    };
    expect(codes(values, freezer)).not.toContain('intervalTooShort');
  });

  test('findings come worst first, with the number in the sentence and in numbers', () => {
    const found = check(
      {
        ...soundCooler,
        'regulation.setpoint': f(38),
        'regulation.differential': dF(5),
        'compressor.minOffTime': min(9),
      },
      cooler,
    );
    expect(found[0]!.severity).toBe('error');
    expect(found.at(-1)!.severity).toBe('note');
    const cutIn = found.find((x) => x.code === 'cutInAboveGoodsLimit')!;
    expect(inWords(cutIn.message)).toContain('43 °F');
    expect(cutIn.numbers['cutIn']).toBeCloseTo(6.1111, 3);
  });
});

test('a defrost that its length switches off needs no coil probe', () => {
  const unit = { ...freezer, probes: ['air'] as const };
  const codes = (values: SettingValues) => check({ ...soundFreezer, ...values }, unit).map((f) => f.code);
  expect(codes({})).toContain('endTemperatureWithoutCoilProbe');
  expect(codes({ 'defrost.maxDuration': min(0) })).not.toContain('endTemperatureWithoutCoilProbe');
});

test('slopes near 10 are a pair’s own; one near 10 beside one near 1 is a slipped point', () => {
  const meter: UnitDescription = {
    ...cooler,
    application: 'heatMeter',
    goods: 'nothing',
    defrostMethod: 'none',
    probes: ['supply', 'return'],
  };
  const slips = (supply: number, back: number) =>
    check({ 'meter.supplySlope': supply, 'meter.returnSlope': back }, meter)
      .filter((f) => f.code === 'decimalSlip')
      .flatMap((f) => f.settings);
  expect(slips(1.0079, 0.9964)).toEqual([]);
  expect(slips(10.079, 9.964)).toEqual([]);
  expect(slips(1.0079, 9.964)).toEqual(['meter.returnSlope']);
  expect(slips(100.79, 9.964)).toContain('meter.supplySlope');
});
