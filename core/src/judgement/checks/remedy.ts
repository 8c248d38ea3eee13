import { joinSentences, sentence, type Sentence } from '../../foundation/sentences/index.ts';
import {
  baseValue,
  ceilTo,
  isQuantity,
  quantity,
  type Quantity,
  difference,
  differenceIn,
} from '../../foundation/quantities/index.ts';
import {
  sameValue,
  settingOf,
  type SettingId,
  type SettingValue,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { plan, valuesOf } from '../plan/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { alarmLimits, secondsOf, switchingBand } from '../../foundation/regulation/index.ts';
import { check } from './check.ts';
import type { Finding } from './finding.ts';

/** Values that take a finding away, ready to be set with one press. */
export interface Remedy {
  readonly values: SettingValues;
  readonly words: Sentence;
}

/**
 * The first change that takes the finding away and brings no new error: arithmetic first, then what the plan has for these settings. Each is tried on the checks
 * themselves before it is offered; null where none holds, since some mistakes are mended with a tool and not with a value.
 */
export function remedyFor(
  finding: Finding,
  values: SettingValues,
  unit: UnitDescription | null,
): Remedy | null {
  const errors = (list: readonly Finding[]) => list.filter((f) => f.severity === 'error').length;
  const before = errors(check(values, unit));
  const same = (f: Finding) => f.code === finding.code && f.settings.join() === finding.settings.join();
  for (const change of candidates(finding, values, unit)) {
    if (Object.keys(change).length === 0) continue;
    const after = check({ ...values, ...change }, unit);
    if (!after.some(same) && errors(after) <= before) return { values: change, words: remedyWords(change) };
  }
  return null;
}

/** “Drain time 5 min, Interval 6 h” */
export function remedyWords(change: SettingValues): Sentence {
  return joinSentences(
    (Object.keys(change) as SettingId[]).map(
      (id) => sentence`${settingOf(id).label} ${valueWords(id, change[id]!)}`,
    ),
    ', ',
  );
}

function valueWords(id: SettingId, value: SettingValue): Quantity | string {
  if (isQuantity(value)) return value;
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  return settingOf(id).choiceLabels?.[String(value)] ?? String(value);
}

function candidates(
  finding: Finding,
  values: SettingValues,
  unit: UnitDescription | null,
): readonly SettingValues[] {
  const planned = unit ? valuesOf(plan(unit)) : {};
  const ids = finding.settings as readonly SettingId[];
  const take = (wanted: readonly SettingId[]) =>
    Object.fromEntries(
      wanted.flatMap((id) => {
        const value = planned[id];
        const present = values[id];
        return value === undefined || (present !== undefined && sameValue(value, present))
          ? []
          : [[id, value]];
      }),
    ) as SettingValues;
  return [
    arithmetic(finding, values),
    take(ids.slice(0, 1)),
    take(ids),
    take([...ids, ...(coupled[finding.code] ?? [])]),
  ];
}

/** Settings that go along with those a finding names. */
const coupled: Readonly<Record<string, readonly SettingId[]>> = {
  offCycleBelowFreezing: ['defrost.method', 'defrost.termination', 'fans.whileDefrost'],
  cutInAboveGoodsLimit: ['regulation.setpointMin', 'regulation.setpointMax'],
  cutOutBelowGoodsLimit: ['regulation.differential', 'regulation.setpointMin', 'regulation.setpointMax'],
  noHighAlarm: [
    'alarms.highTemperature',
    'alarms.lowTemperature',
    'alarms.highOffset',
    'alarms.lowOffset',
    'alarms.delay',
    'alarms.differential',
    'alarms.defrostExclusion',
  ],
  missingRequired: ['regulation.setpoint', 'regulation.differential'],
};

/** What follows from the numbers alone, kept in the units that were typed. */
function arithmetic(finding: Finding, values: SettingValues): SettingValues {
  const band = switchingBand(values);
  switch (finding.code) {
    case 'highAlarmInsideBand': {
      const { high } = alarmLimits(values);
      return band && high !== null
        ? raise(values, ['alarms.highTemperature', 'alarms.highOffset'], band.cutIn + 3 - high)
        : {};
    }
    case 'lowAlarmAboveCutOut': {
      const { low } = alarmLimits(values);
      if (!band || low === null) return {};
      return values['alarms.reference'] === 'relative'
        ? raise(values, ['alarms.lowOffset'], low - band.cutOut + 3)
        : raise(values, ['alarms.lowTemperature'], band.cutOut - 3 - low);
    }
    case 'intervalTooShort': {
      const away = secondsOf(values, 'defrost.maxDuration') + secondsOf(values, 'defrost.drainTime');
      const counted = values['defrost.initiation'] === 'coolingTime' ? 0 : away;
      // The alarm needs free time as well, or the next mistake is made.
      const quiet = secondsOf(values, 'alarms.defrostExclusion') + secondsOf(values, 'alarms.delay');
      return { 'defrost.interval': quantity(ceilTo((counted + quiet + 1800) / 3600, 0.5), 'h') };
    }
    case 'endTemperatureWithoutCoilProbe':
      return { 'defrost.termination': 'time' };
    case 'offCycleWithoutFan':
      return { 'fans.whileDefrost': 'run' };
    case 'fansBlowHeat':
      return {
        'fans.whileDefrost': 'stop',
        ...(values['fans.control'] === 'always' && { 'fans.control': 'controlled' }),
      };
    case 'fanNeverWaits':
      return { 'fans.delayAfterDrain': quantity(3, 'min') };
    case 'wrongAction':
      return { 'regulation.action': values['regulation.action'] === 'heat' ? 'cool' : 'heat' };
    case 'setpointOutsideUserRange':
      return rangeAround(values);
    case 'fanRestartAboveFanStop':
      return raise(
        values,
        ['fans.restartCoilTemperature'],
        -(finding.numbers['restart']! - finding.numbers['stop']!) - 3,
      );
    case 'stagesFight': {
      const apart = finding.numbers['heatsTo']! - finding.numbers['coolsTo']! + 1;
      const step = values['regulation.action'] === 'heat' ? apart : -apart;
      return raise(
        values,
        values['stage2.reference'] === 'relative' ? ['stage2.offset'] : ['stage2.setpoint'],
        step,
      );
    }
    case 'userRangeAboveGoodsLimit':
      return raise(values, ['regulation.setpointMax'], finding.numbers['limit']! - finding.numbers['cutIn']!);
    case 'withoutItsProbe':
      return finding.settings[0] === 'condenser.floating'
        ? { 'condenser.floating': false }
        : { 'condenser.quietSource': 'none' };
    default:
      return {};
  }
}

/** Somebody chose the set point: the end of the user's range that it passed moves to it. Empty where it lies inside. */
export function rangeAround(values: SettingValues): SettingValues {
  const point = values['regulation.setpoint'];
  const [min, max] = [values['regulation.setpointMin'], values['regulation.setpointMax']];
  if (!isQuantity(point)) return {};
  return {
    ...(isQuantity(max) && baseValue(point) > baseValue(max) && { 'regulation.setpointMax': point }),
    ...(isQuantity(min) && baseValue(point) < baseValue(min) && { 'regulation.setpointMin': point }),
  };
}

/** The first of these settings that is set, moved by so many kelvins to the next whole number of its own unit, away from where it was. */
function raise(values: SettingValues, ids: readonly SettingId[], kelvins: number): SettingValues {
  for (const id of ids) {
    const value = values[id];
    if (!isQuantity(value)) continue;
    const fahrenheit = value.unit === 'degF' || value.unit === 'deltaF';
    const moved = value.value + differenceIn(difference(kelvins, 'K'), fahrenheit ? 'deltaF' : 'K');
    const whole = kelvins > 0 ? Math.ceil(moved - 1e-9) : Math.floor(moved + 1e-9);
    return { [id]: quantity(whole, value.unit) };
  }
  return {};
}
