import { isQuantity, printQuantity, quantity, type Quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import type { DisplayState } from '../definitions/index.ts';
import { decodeNumber, encodeNumber } from '../definitions/index.ts';
import { changed, type Meaning } from './meaning.ts';
import { distance, movedBy } from './placement.ts';
import { canChoose, holdersOf, standingValue } from './target.ts';

type Reference = 'none' | 'absolute' | 'relative';

/** Two limits that stand as temperatures or as distances from a set point, the high one first. */
interface Limits {
  readonly reference: SettingId;
  readonly absolute: readonly [SettingId, SettingId];
  readonly relative: readonly [SettingId, SettingId];
  readonly setpoint: SettingId;
}

const ofTheAir: Limits = {
  reference: 'alarms.reference',
  absolute: ['alarms.highTemperature', 'alarms.lowTemperature'],
  relative: ['alarms.highOffset', 'alarms.lowOffset'],
  setpoint: 'regulation.setpoint',
};
const ofTheCondenser: Limits = {
  reference: 'condenser.alarmReference',
  absolute: ['condenser.highTemperature', 'condenser.lowTemperature'],
  relative: ['condenser.highOffset', 'condenser.lowOffset'],
  setpoint: 'condenser.setpoint',
};
const all: readonly Limits[] = [ofTheAir, ofTheCondenser];

/** Leaves out limits that a source holds but that are not in force, because its reference says otherwise. */
export function limitsInForce(values: SettingValues): SettingValues {
  const idle = new Set(
    all.flatMap((limits): readonly SettingId[] => {
      const reference = values[limits.reference] as Reference | undefined;
      if (reference === undefined) return [];
      if (reference === 'none') return [...limits.absolute, ...limits.relative];
      return reference === 'absolute' ? limits.relative : limits.absolute;
    }),
  );
  return Object.fromEntries(Object.entries(values).filter(([id]) => !idle.has(id as SettingId)));
}

/**
 * Keeps each alarm limit in degrees where the target counts otherwise. Offsets count from the set point of the control they stand on:
 * absolute → relative from the target's (moved, and if need be clamped) set point, relative → absolute from the source's.
 */
export function keepAlarmLimits(
  meaning: Meaning,
  original: SettingValues,
  target: ControllerDefinition,
  display: DisplayState,
): Meaning {
  return all.reduce((done, limits) => keep(limits, done, original, target, display), meaning);
}

function keep(
  limits: Limits,
  meaning: Meaning,
  original: SettingValues,
  target: ControllerDefinition,
  display: DisplayState,
): Meaning {
  const from = referenceOf(limits, meaning.values);
  if (from === undefined || from === 'none') return meaning;
  const to = canChoose(target, limits.reference, from) ? from : targetReference(limits, target, from);
  if (to === from) return remarkOnMovedOffsets(limits, meaning, original, from);
  if (to === undefined || to === 'none') return meaning;
  const base =
    to === 'relative' ? targetSetpoint(limits, meaning, target, display) : original[limits.setpoint];
  const lifted = changed(meaning, {
    converted: [limits.reference],
    ...(canChoose(target, limits.reference, to) && {
      set: { [limits.reference]: to },
      recomputed: { [limits.reference]: `this control's limits are ${to}` },
    }),
  });
  if (!isQuantity(base)) return loseLimits(limits, lifted, from);
  return to === 'relative' ? toOffsets(limits, lifted, base) : toTemperatures(limits, lifted, base);
}

/** Offsets are copied as offsets; where the set point they count from has moved, the limits in degrees move too, and the row says so. */
function remarkOnMovedOffsets(
  limits: Limits,
  meaning: Meaning,
  original: SettingValues,
  reference: Reference,
): Meaning {
  const [before, after] = [original[limits.setpoint], meaning.values[limits.setpoint]];
  if (reference !== 'relative' || !isQuantity(before) || !isQuantity(after) || before.value === after.value)
    return meaning;
  const said = (offset: Quantity, sign: 1 | -1) => {
    const by = quantity(offset.value * sign, offset.unit);
    return `counts from a set point that has moved: the limit is now ${printQuantity(movedBy(after, by))} instead of ${printQuantity(movedBy(before, by))}`;
  };
  const [high, low] = limits.relative.map((id) => meaning.values[id]);
  return changed(meaning, {
    remarks: {
      ...(isQuantity(high) && { [limits.relative[0]]: said(high, 1) }),
      ...(isQuantity(low) && { [limits.relative[1]]: said(low, -1) }),
    },
  });
}

function toOffsets(limits: Limits, meaning: Meaning, setpoint: Quantity): Meaning {
  return limits.absolute.reduce((done, id, i) => {
    const limit = meaning.values[id];
    if (!isQuantity(limit)) return done;
    const becomes = limits.relative[i]!;
    const value = i === 0 ? distance(limit, setpoint) : distance(setpoint, limit);
    return changed(done, {
      set: { [id]: undefined, [becomes]: value },
      recomputed: {
        [becomes]: `${printQuantity(limit)} counted from this control's set point ${printQuantity(setpoint)}`,
      },
      converted: [id],
    });
  }, meaning);
}

function toTemperatures(limits: Limits, meaning: Meaning, setpoint: Quantity): Meaning {
  return limits.relative.reduce((done, id, i) => {
    const offset = meaning.values[id];
    if (!isQuantity(offset)) return done;
    const high = i === 0;
    const becomes = limits.absolute[i]!;
    return changed(done, {
      set: {
        [id]: undefined,
        [becomes]: movedBy(setpoint, high ? offset : quantity(-offset.value, offset.unit)),
      },
      recomputed: {
        [becomes]: `${printQuantity(setpoint)} ${high ? '+' : '−'} ${printQuantity(offset)}, the set point that the offset was counted from`,
      },
      converted: [id],
    });
  }, meaning);
}

function loseLimits(limits: Limits, meaning: Meaning, from: Reference): Meaning {
  const ids: readonly SettingId[] = from === 'absolute' ? limits.absolute : limits.relative;
  const held = ids.filter((id) => meaning.values[id] !== undefined);
  return changed(meaning, {
    set: Object.fromEntries(held.map((id) => [id, undefined])),
    lost: Object.fromEntries(
      held.map((id) => [id, 'the limit cannot be counted anew: the set point is not on the sheet']),
    ),
  });
}

function referenceOf(limits: Limits, values: SettingValues): Reference | undefined {
  const said = values[limits.reference] as Reference | undefined;
  if (said !== undefined) return said;
  if (limits.relative.some((id) => values[id] !== undefined)) return 'relative';
  return limits.absolute.some((id) => values[id] !== undefined) ? 'absolute' : undefined;
}

function targetReference(
  limits: Limits,
  target: ControllerDefinition,
  from: Reference,
): Reference | undefined {
  const other: Reference = from === 'absolute' ? 'relative' : 'absolute';
  if (canChoose(target, limits.reference, other)) return other;
  const standing = standingValue(target, limits.reference) as Reference | undefined;
  if (standing !== undefined) return standing;
  const holds = (ids: readonly SettingId[]) => ids.some((id) => holdersOf(target, id).length > 0);
  if (holds(from === 'absolute' ? limits.absolute : limits.relative)) return from;
  return holds(from === 'absolute' ? limits.relative : limits.absolute) ? other : undefined;
}

/** The set point the target will stand on: unrounded, so that nothing is rounded twice, unless its range stops it. */
function targetSetpoint(
  limits: Limits,
  meaning: Meaning,
  target: ControllerDefinition,
  display: DisplayState,
): Quantity | undefined {
  const moved = meaning.values[limits.setpoint];
  if (!isQuantity(moved)) return undefined;
  const holder = holdersOf(target, limits.setpoint)[0];
  if (holder?.encoding.type !== 'number') return moved;
  const code = encodeNumber(moved, holder.encoding, display);
  return code?.clamped ? (decodeNumber(code.value, holder.encoding, display) as Quantity) : moved;
}
