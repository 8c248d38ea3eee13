import { sentence } from '../../foundation/sentences/index.ts';
import { lowestCondensing } from '../../foundation/refrigerants/index.ts';
import { ceilTo, quantity, valueIn, type Quantity } from '../../foundation/quantities/index.ts';
import { settingOf } from '../../foundation/settings/index.ts';
import { describeSide } from '../../foundation/unit/index.ts';
import { differenceOf, temperatureAt, type Draft, type PlanBasis } from './planned.ts';

/** A cold room's evaporator, °C: what the valve is held against where nobody said otherwise (common practice). */
const EVAPORATING = -8;
/** Kept above what the valve needs, K: the fans overshoot on the way down. */
const MARGIN_K = 3;
const percent = (value: number): Quantity => quantity(value, '%');
const seconds = (value: number): Quantity => quantity(value, 's');

/** Fans of a condenser: set point above what the expansion valve needs, band wide enough not to hunt, alarms outside both. Common practice. */
export function planCondenser(basis: PlanBasis): readonly Draft[] {
  const { unit } = basis;
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  const lowest = lowestCondensing(unit.refrigerant ?? '', EVAPORATING);
  const floor = quantity(ceilTo(valueIn(quantity(lowest.celsius + MARGIN_K, 'degC'), degrees), 1), degrees);
  const usual = temperatureAt(basis, 88, 31);
  const setpoint = usual.value >= floor.value ? usual : floor;
  const method = basis.side('fanRegulation');
  const switched = method === 'onOff';
  const outdoor = unit.probes.includes('outdoor');
  const refrigerants = settingOf('condenser.refrigerant').choices ?? [];
  return [
    {
      setting: 'condenser.setpoint',
      value: setpoint,
      reason: sentence`High enough for the valve, low enough for the compressor. ${lowest.why}`,
    },
    {
      setting: 'condenser.setpointMin',
      value: floor,
      reason: sentence`${differenceOf(basis, 5, MARGIN_K)} above what the valve needs: fans overshoot on the way down.`,
    },
    {
      setting: 'condenser.setpointMax',
      value: temperatureAt(basis, 104, 40),
      reason: 'On hot days more air helps less than it costs; still well under the high-pressure cut-out.',
    },
    {
      setting: 'condenser.method',
      value: method,
      reason: `Fans: ${describeSide('fanRegulation', method)}.`,
      school: 'fanRegulation',
    },
    {
      setting: 'condenser.differential',
      value: switched ? differenceOf(basis, 15, 8) : differenceOf(basis, 11, 6),
      reason: switched
        ? 'A narrow differential starts the motors every minute on a cold night.'
        : 'A narrow band turns the fans on and off at their least speed on a cold night; this one follows.',
    },
    ...(method === 'proportionalIntegral'
      ? [
          {
            setting: 'condenser.integralTime' as const,
            value: seconds(240),
            reason: 'Several times what the condenser needs to follow its fans.',
          },
        ]
      : []),
    ...(method === 'neutralZone'
      ? [
          {
            setting: 'condenser.neutralZone' as const,
            value: differenceOf(basis, 2, 1),
            reason: 'Within it the output holds.',
          },
        ]
      : []),
    ...(unit.facts?.condenserFans === undefined
      ? []
      : [
          {
            setting: 'condenser.fanCount' as const,
            value: unit.facts.condenserFans,
            reason: 'As counted at the condenser.',
          },
        ]),
    {
      setting: 'condenser.onlyWithCompressor',
      value: basis.side('condenserFans') === 'withCompressor',
      reason: `Fans ${describeSide('condenserFans', basis.side('condenserFans'))}.`,
      school: 'condenserFans',
    },
    ...(switched
      ? [
          {
            setting: 'condenser.rotation' as const,
            value: 'runTime',
            reason: 'The hours of the fans stay even.',
          },
        ]
      : drives()),
    {
      setting: 'condenser.outdoorProbe',
      value: outdoor,
      reason: outdoor
        ? 'An outdoor probe was found or will be fitted.'
        : 'No outdoor probe: the set point stands.',
    },
    {
      setting: 'condenser.floating',
      value: outdoor,
      reason: outdoor
        ? 'Cool days are used: compressor work falls by about 3 % a kelvin.'
        : 'Nothing to follow.',
    },
    ...(outdoor
      ? [
          {
            setting: 'condenser.floatingDifference' as const,
            value: differenceOf(basis, 18, 10),
            reason:
              'About what the condenser needs above the air at full load; less runs the fans flat out for little. Try it under Fans.',
          },
        ]
      : []),
    {
      setting: 'condenser.backupProbe',
      value: unit.probes.includes('secondLiquid'),
      reason: unit.probes.includes('secondLiquid')
        ? 'The second liquid probe takes over.'
        : 'No second liquid probe was found.',
    },
    {
      setting: 'condenser.probeFaultOutput',
      value: percent(70),
      reason: 'A start: the average of a normal week’s log is better. Take the log in under Prove, Log.',
    },
    {
      setting: 'condenser.highTemperature',
      value: temperatureAt(basis, 117, 47),
      reason: 'Above the warmest set point with its band, well before the high-pressure cut-out.',
    },
    {
      setting: 'condenser.lowTemperature',
      value: quantity(floor.value - (basis.fahrenheit ? 15 : 8), degrees),
      reason: 'Below it the valve starves; starts from cold are passed over by the delay.',
    },
    {
      setting: 'condenser.alarmDifferential',
      value: differenceOf(basis, 5, 3),
      reason: 'The alarm clears clearly.',
    },
    {
      setting: 'condenser.alarmDelay',
      value: seconds(300),
      reason: 'A start from a cold condenser takes some minutes.',
    },
    ...(unit.refrigerant && refrigerants.includes(unit.refrigerant)
      ? [{ setting: 'condenser.refrigerant' as const, value: unit.refrigerant, reason: 'As on the plate.' }]
      : []),
  ];
}

function drives(): readonly Draft[] {
  return [
    { setting: 'condenser.speedMin', value: percent(20), reason: 'Slower, many motors stall or overheat.' },
    { setting: 'condenser.speedMax', value: percent(100), reason: 'All of it on a hot day.' },
    {
      setting: 'condenser.driveMinVolts',
      value: quantity(2, 'V'),
      reason: 'The drive’s own least speed; see its plate.',
    },
    {
      setting: 'condenser.driveMaxVolts',
      value: quantity(10, 'V'),
      reason: 'Full speed of a 0 to 10 V drive.',
    },
    { setting: 'condenser.riseTime', value: seconds(20), reason: 'Belts, bearings and neighbours.' },
    {
      setting: 'condenser.fallTime',
      value: seconds(30),
      reason: 'Slower down than up: the pressure stays calm.',
    },
    {
      setting: 'condenser.kickTime',
      value: seconds(3),
      reason: 'Full speed at each start breaks stiff bearings loose.',
    },
  ];
}
