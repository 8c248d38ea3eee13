import { describe, expect, test } from '@jest/globals';
import type { SettingId, SettingValues } from '../src/foundation/settings/index.ts';
import type { UnitDescription } from '../src/foundation/unit/index.ts';
import { plan, valuesOf } from '../src/judgement/plan/index.ts';
import { judgement } from '../src/judgement/verdict/index.ts';

const c = (value: number) => ({ value, unit: 'degC' as const });
const k = (value: number) => ({ value, unit: 'K' as const });
const min = (value: number) => ({ value, unit: 'min' as const });
const s = (value: number) => ({ value, unit: 's' as const });
const h = (value: number) => ({ value, unit: 'h' as const });

const unit = (more: Partial<UnitDescription>): UnitDescription => ({
  format: 'brine-dial/unit@1',
  application: 'walkInCooler',
  goods: 'chilledFood',
  defrostMethod: 'offCycle',
  probes: ['air', 'coil'],
  compressor: 'direct',
  doorUse: 'normal',
  ambient: c(32),
  displayUnit: 'celsius',
  ...more,
});

type Wrong = readonly [string, SettingValues, SettingId];
/** A plan with one thing set wrongly, and the setting that has to be named: an error, or a warning. */
const kinds: readonly (readonly [string, UnitDescription, readonly Wrong[]])[] = [
  [
    'walk-in cooler, off-cycle',
    unit({}),
    [
      ['no minimum off time', { 'compressor.minOffTime': min(0) }, 'compressor.minOffTime'],
      ['product above its limit', { 'regulation.setpoint': c(5) }, 'regulation.setpoint'],
      ['fan stopped in off-cycle defrost', { 'fans.whileDefrost': 'stop' }, 'fans.whileDefrost'],
      ['high alarm inside the band', { 'alarms.highTemperature': c(4) }, 'alarms.highTemperature'],
    ],
  ],
  [
    'walk-in cooler, electric, on a rack',
    unit({ defrostMethod: 'electric', compressor: 'rackSolenoid', doorUse: 'busy' }),
    [
      ['fans that blow heat', { 'fans.whileDefrost': 'run' }, 'fans.whileDefrost'],
      ['an end at 1 °C', { 'defrost.endTemperature': c(1) }, 'defrost.endTemperature'],
      ['defrost longer than the time between', { 'defrost.interval': min(40) }, 'defrost.interval'],
      ['low alarm above cut-out', { 'alarms.lowTemperature': c(3) }, 'alarms.lowTemperature'],
    ],
  ],
  [
    'walk-in cooler for fish',
    unit({ goods: 'freshFish', doorUse: 'busy' }),
    [
      ['below what the product bears', { 'regulation.setpoint': c(-3) }, 'regulation.setpoint'],
      ['one defrost a day', { 'defrost.interval': h(24) }, 'defrost.interval'],
      ['defrost of two minutes', { 'defrost.maxDuration': min(2) }, 'defrost.maxDuration'],
      ['a band of 8 K', { 'regulation.differential': k(8) }, 'regulation.differential'],
    ],
  ],
  [
    'walk-in freezer, electric',
    unit({ application: 'walkInFreezer', goods: 'frozenFood', defrostMethod: 'electric' }),
    [
      ['one defrost a day', { 'defrost.interval': h(24) }, 'defrost.interval'],
      ['an end at 1 °C (34 °F)', { 'defrost.endTemperature': c(1) }, 'defrost.endTemperature'],
      ['off-cycle in a freezer', { 'defrost.method': 'offCycle' }, 'defrost.method'],
      ['fans that blow heat', { 'fans.whileDefrost': 'run' }, 'fans.whileDefrost'],
    ],
  ],
  [
    'walk-in freezer, hot gas, busy',
    unit({ application: 'walkInFreezer', goods: 'frozenFood', defrostMethod: 'hotGas', doorUse: 'busy' }),
    [
      ['product above its limit', { 'regulation.setpoint': c(-18) }, 'regulation.setpoint'],
      ['no drip time', { 'defrost.drainTime': min(0) }, 'defrost.drainTime'],
      ['alarm that can never sound', { 'alarms.defrostExclusion': h(8) }, 'alarms.defrostExclusion'],
      ['restart above fan stop', { 'fans.restartCoilTemperature': c(8) }, 'fans.restartCoilTemperature'],
    ],
  ],
  [
    'reach-in refrigerator',
    unit({ application: 'reachInRefrigerator' }),
    [
      ['no minimum off time', { 'compressor.minOffTime': min(0) }, 'compressor.minOffTime'],
      ['a differential of 0.1 K', { 'regulation.differential': k(0.1) }, 'regulation.differential'],
      ['no high alarm', { 'alarms.reference': 'none' }, 'alarms.reference'],
      [
        'end temperature without a coil probe',
        { 'defrost.termination': 'temperature', 'defrost.endTemperature': c(8), 'probes.coilPresent': false },
        'probes.coilPresent',
      ],
    ],
  ],
  [
    'reach-in freezer',
    unit({ application: 'reachInFreezer', goods: 'frozenFood', defrostMethod: 'electric' }),
    [
      ['one defrost a day', { 'defrost.interval': h(24) }, 'defrost.interval'],
      [
        'fan released while the coil is hot',
        { 'fans.delayAfterDrain': min(0), 'fans.restartCoilTemperature': c(-4) },
        'fans.delayAfterDrain',
      ],
      [
        'muted for a minute',
        { 'alarms.defrostExclusion': min(0), 'alarms.delay': min(1) },
        'alarms.defrostExclusion',
      ],
      ['a high alarm far above the product', { 'alarms.highTemperature': c(5) }, 'alarms.highTemperature'],
    ],
  ],
  [
    'merchandiser',
    unit({ application: 'merchandiser', goods: 'dairy', doorUse: 'busy' }),
    [
      ['product above its limit', { 'regulation.setpoint': c(6) }, 'regulation.setpoint'],
      ['user may turn it to 10 °C', { 'regulation.setpointMax': c(10) }, 'regulation.setpointMax'],
      ['rest of half an hour', { 'compressor.minOffTime': min(30) }, 'compressor.minOffTime'],
      ['fan stopped in off-cycle defrost', { 'fans.whileDefrost': 'stop' }, 'fans.whileDefrost'],
    ],
  ],
  [
    'ice cream cabinet',
    unit({ application: 'iceCreamCabinet', goods: 'iceCream', defrostMethod: 'electric' }),
    [
      ['product above its limit', { 'regulation.setpoint': c(-15) }, 'regulation.setpoint'],
      ['an end at 2 °C', { 'defrost.endTemperature': c(2) }, 'defrost.endTemperature'],
      ['alarm inside the band', { 'alarms.highTemperature': c(-20) }, 'alarms.highTemperature'],
      ['a defrost of five minutes', { 'defrost.maxDuration': min(5) }, 'defrost.maxDuration'],
    ],
  ],
  [
    'pharmacy refrigerator',
    unit({ application: 'pharmacyRefrigerator', goods: 'medicine', ambient: c(25) }),
    [
      ['too cold for vaccines', { 'regulation.setpoint': c(0) }, 'regulation.setpoint'],
      ['too warm for vaccines', { 'regulation.setpoint': c(8) }, 'regulation.setpoint'],
      ['low alarm above cut-out', { 'alarms.lowTemperature': c(6) }, 'alarms.lowTemperature'],
      ['no minimum off time', { 'compressor.minOffTime': min(0) }, 'compressor.minOffTime'],
    ],
  ],
  [
    'vehicle fridge',
    unit({ application: 'vehicleFridge', defrostMethod: 'none' }),
    [
      [
        'a differential of 0.2 K without a rest',
        { 'regulation.differential': k(0.2), 'compressor.minOffTime': min(0) },
        'regulation.differential',
      ],
      ['product above its limit', { 'regulation.setpoint': c(7) }, 'regulation.setpoint'],
      ['freezes what it keeps', { 'regulation.setpoint': c(-3) }, 'regulation.setpoint'],
      ['set point outside the user’s range', { 'regulation.setpointMax': c(0) }, 'regulation.setpointMax'],
    ],
  ],
  [
    'hot cupboard',
    unit({
      application: 'hotCupboard',
      goods: 'hotFood',
      defrostMethod: 'none',
      probes: ['air'],
      ambient: c(22),
    }),
    [
      ['too cold for hot food', { 'regulation.setpoint': c(50) }, 'regulation.setpoint'],
      ['cools instead of heating', { 'regulation.action': 'cool' }, 'regulation.action'],
      ['low alarm inside the band', { 'alarms.lowTemperature': c(66) }, 'alarms.lowTemperature'],
      ['a differential of 20 K', { 'regulation.differential': k(20) }, 'regulation.differential'],
    ],
  ],
  [
    'sea-water tank',
    unit({
      application: 'chilledWaterTank',
      goods: 'liveShellfish',
      defrostMethod: 'none',
      probes: ['air'],
      ambient: c(22),
    }),
    [
      ['product above its limit', { 'regulation.setpoint': c(13) }, 'regulation.setpoint'],
      ['ice at the chiller', { 'regulation.setpoint': c(1) }, 'regulation.setpoint'],
      [
        'heats against its chiller',
        {
          'stage2.function': 'thermostat',
          'stage2.action': 'heat',
          'stage2.reference': 'absolute',
          'stage2.setpoint': c(12),
          'stage2.differential': k(1),
        },
        'stage2.setpoint',
      ],
      ['high alarm inside the band', { 'alarms.highTemperature': c(9) }, 'alarms.highTemperature'],
    ],
  ],
  [
    'condenser fans by a drive',
    unit({
      application: 'condenserFans',
      goods: 'nothing',
      defrostMethod: 'none',
      probes: ['liquid'],
      ambient: c(16),
      refrigerant: 'R-404A',
    }),
    [
      [
        'a band of half a kelvin',
        { 'condenser.differential': k(0.5), 'condenser.integralTime': s(20) },
        'condenser.differential',
      ],
      [
        'set point where the valve starves',
        { 'condenser.setpoint': c(12), 'condenser.setpointMin': c(10), 'condenser.lowTemperature': c(0) },
        'condenser.setpoint',
      ],
      [
        'high alarm in the working band',
        { 'condenser.highTemperature': c(30), 'condenser.alarmDelay': s(10) },
        'condenser.highTemperature',
      ],
      ['floats without an outdoor probe', { 'condenser.floating': true }, 'condenser.floating'],
    ],
  ],
  [
    'transport unit',
    unit({ application: 'transportUnit', goods: 'frozenFood', defrostMethod: 'electric' }),
    [
      ['product above its limit', { 'regulation.setpoint': c(-10) }, 'regulation.setpoint'],
      ['one defrost in two days', { 'defrost.interval': h(48) }, 'defrost.interval'],
      ['fans that blow heat', { 'fans.whileDefrost': 'run' }, 'fans.whileDefrost'],
      ['an end at 1 °C', { 'defrost.endTemperature': c(1) }, 'defrost.endTemperature'],
    ],
  ],
];

// Oracle: each is a mistake of the trade (common practice), made in a plan that itself stands its day.
describe.each(kinds)('%s', (_, one, wrongs) => {
  const planned = valuesOf(plan(one));

  test.each(wrongs)('%s', (__, change, setting) => {
    const { findings } = judgement({ unit: one, values: { ...planned, ...change }, remedies: false });
    const grave = findings.filter((f) => f.severity !== 'note');
    expect(grave.flatMap((f) => f.settings)).toContain(setting);
  });

  test('as planned none of these is said', () => {
    const { findings } = judgement({ unit: one, values: planned, remedies: false });
    const grave = findings.filter((f) => f.severity === 'error');
    expect(grave.map((f) => f.code)).toEqual([]);
  });
});
