import { sentence } from '../../foundation/sentences/index.ts';
import {
  baseValue,
  dimensionOf,
  fits,
  isQuantity,
  quantity,
  shownUnit,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';
import {
  findSetting,
  isFreezer,
  isHeated,
  isMachine,
  settingOf,
  soundRange,
  validateSet,
  type SettingId,
} from '../../foundation/settings/index.ts';
import { goodsOf } from '../../foundation/unit/index.ts';
import { plan } from '../plan/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { secondsOf } from '../../foundation/regulation/index.ts';
import type { Check, Finding } from './finding.ts';

/** Values that are impossible or contradict each other: the end user's range, differences typed as temperatures. */
export const impossibleValues: Check = ({ values }) =>
  validateSet(values).map((p): Finding => {
    const range =
      p.code === 'contradiction' && p.settings.some((id) => id.startsWith('regulation.setpointM'));
    return {
      code: range
        ? p.settings.includes('regulation.setpoint')
          ? 'setpointOutsideUserRange'
          : 'userRangeInverted'
        : p.code,
      severity: 'error',
      settings: p.settings,
      message: `${p.message}.`,
      numbers: {},
    };
  });

/** Ranges are stated in whole °F; a whole °C beside their end is no finding. */
const ROUNDING_K = 0.5;
const TEMPERATURE_KINDS: ReadonlySet<string> = new Set(['temperature', 'temperatureDifference']);

/** Ranges that protect a compressor; a valve on a rack has none behind it. */
const protectsCompressor: ReadonlySet<SettingId> = new Set([
  'compressor.minOffTime',
  'compressor.minOnTime',
  'compressor.minStartInterval',
  'compressor.powerOnDelay',
]);

const advisedOf = new WeakMap<UnitDescription, ReadonlyMap<SettingId, number>>();

/**
 * What the plan gives for this unit, in base units: fresh fish stands colder than a usual cooler, and no note says so of a value that was planned for it. Nothing
 * where goods and box do not go together: there the note is the first to say it.
 */
function advisedFor(unit: UnitDescription): ReadonlyMap<SettingId, number> {
  const known = advisedOf.get(unit);
  if (known) return known;
  const advised = new Map(
    goodsOf(unit).frozen === isFreezer(unit.application)
      ? plan(unit).settings.flatMap((s) =>
          isQuantity(s.value) ? [[s.setting, baseValue(s.value)] as const] : [],
        )
      : [],
  );
  advisedOf.set(unit, advised);
  return advised;
}

/** Values outside the range thought sound for this application: worth a look, and often right. */
export const outsideSoundRange: Check = ({ values, unit }) => {
  if (!unit) return [];
  return (Object.keys(values) as SettingId[]).flatMap((id): readonly Finding[] => {
    if (unit.compressor === 'rackSolenoid' && protectsCompressor.has(id)) return [];
    // With demand the interval is only the latest a defrost comes.
    if (id === 'defrost.interval' && values['defrost.initiation'] === 'demand') return [];
    // A condenser on a control made for a box: what is usual for goods says nothing of its liquid.
    if (isMachine(unit.application) && !id.startsWith('condenser.')) return [];
    const value = values[id];
    const entry = findSetting(id);
    const range = entry && soundRange(entry, unit.application);
    if (!isQuantity(value) || !range || !fits(value, range.min.unit)) return [];
    const shown = value.unit === 'degF' || value.unit === 'deltaF' ? 'degF' : 'degC';
    const [low, high, at] = [baseValue(range.min), baseValue(range.max), baseValue(value)];
    const slack = TEMPERATURE_KINDS.has(dimensionOf(value.unit)) ? ROUNDING_K : 0;
    if (at >= low - slack - 1e-6 && at <= high + slack + 1e-6) return [];
    const advised = advisedFor(unit).get(id);
    if (advised !== undefined && Math.abs(at - advised) <= slack + 1e-6) return [];
    const setting = settingOf(id);
    // What a narrow band does to a compressor is no matter on a rack.
    const spared = unit.compressor === 'rackSolenoid' && id === 'regulation.differential' && at < low;
    if (spared) return [];
    const effect = at < low ? setting.tooLow : setting.tooHigh;
    return [
      {
        code: 'outsideSoundRange',
        severity: 'note',
        settings: [id],
        message: sentence`${setting.label} ${value}: usual here is ${tenths(range.min, shown)} to ${tenths(range.max, shown)}.${effect ? sentence` ${effect}` : ''}`,
        numbers: { value: at, min: low, max: high },
      },
    ];
  });
};

/** An end of a range in the degrees that are read, in tenths. */
function tenths(q: Quantity, display: TemperatureUnit): Quantity {
  const unit = shownUnit(q.unit, display);
  return unit === q.unit ? q : quantity(Math.round(valueIn(q, unit) * 10) / 10, unit);
}

/** A directly switched compressor without a rest. */
export const noRest: Check = ({ values, unit }) => {
  if (unit?.compressor === 'rackSolenoid' || values['compressor.minOffTime'] === undefined) return [];
  // A heater may come and go as it likes.
  if (values['regulation.action'] === 'heat') return [];
  if (secondsOf(values, 'compressor.minOffTime') > 0 || secondsOf(values, 'compressor.minStartInterval') > 0)
    return [];
  return [
    {
      code: 'noRest',
      severity: unit ? 'error' : 'warning',
      settings: ['compressor.minOffTime'],
      message:
        'Minimum off time 0 min: the compressor may restart against pressure that has not equalised. 2 to 3 min are usual; only a solenoid on a rack needs none.',
      numbers: { rest: 0 },
    },
  ];
};

/** Set point and differential are required for a control to run at all. */
export const nothingToRegulate: Check = ({ values }) => {
  if (values['condenser.setpoint'] !== undefined) return [];
  const missing = (['regulation.setpoint', 'regulation.differential'] as const).filter(
    (id) => values[id] === undefined,
  );
  if (missing.length === 0) return [];
  return [
    {
      code: 'missingRequired',
      severity: 'error',
      settings: missing,
      message: `${missing.map((id) => settingOf(id).label).join(' and ')} missing: a control cannot regulate without.`,
      numbers: {},
    },
  ];
};

/** Below this a compressor goes by the noise of its probe, K. Common practice: half a kelvin, 1 °F. */
const NARROWEST_K = 0.5;

/** A differential so narrow that only the rest spaces the starts of a compressor. */
export const differentialTooNarrow: Check = ({ values, unit }) => {
  const differential = values['regulation.differential'];
  if (!isQuantity(differential) || !unit || unit.compressor === 'rackSolenoid') return [];
  if (values['regulation.action'] === 'heat' || baseValue(differential) >= NARROWEST_K - 1e-6) return [];
  return [
    {
      code: 'differentialTooNarrow',
      severity: 'warning',
      settings: ['regulation.differential'],
      message: sentence`A differential of ${differential}: nothing but the minimum off time spaces the starts, and each run is as short as it can be. Widen it.`,
      numbers: { differential: baseValue(differential) },
    },
  ];
};

/** A unit that keeps warm and is set to cool, or the other way, while no second stage does what it is for. */
export const wrongAction: Check = ({ values, unit }) => {
  const action = values['regulation.action'];
  if (!unit || isMachine(unit.application) || (action !== 'cool' && action !== 'heat')) return [];
  const heats = isHeated(unit.application);
  if (heats === (action === 'heat')) return [];
  // Cool and heat about one point: whichever stage stands first. By a probe of its own it regulates another place.
  const second =
    values['stage2.function'] === 'thermostat' && values['stage2.probe'] !== 'second'
      ? values['stage2.action']
      : undefined;
  if (second === (heats ? 'heat' : 'cool')) return [];
  return [
    {
      code: 'wrongAction',
      severity: 'error',
      settings: ['regulation.action'],
      message: heats
        ? 'This unit keeps warm, but its first stage is set to cool: the output comes on when it is warm enough. Set it to heat.'
        : 'This unit keeps cold, but its first stage is set to heat: the compressor runs when it is cold enough. Set it to cool.',
      numbers: {},
    },
  ];
};
