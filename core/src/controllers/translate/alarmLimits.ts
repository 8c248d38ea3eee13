import { isQuantity, printQuantity, quantity, type Quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import type { DisplayState } from '../definitions/index.ts';
import { decodeNumber, encodeNumber } from '../definitions/index.ts';
import { changed, type Meaning } from './meaning.ts';
import { distance, movedBy } from './placement.ts';
import { canChoose, holdersOf, standingValue } from './target.ts';

type Reference = 'none' | 'absolute' | 'relative';

const absoluteLimits = ['alarms.highTemperature', 'alarms.lowTemperature'] as const;
const relativeLimits = ['alarms.highOffset', 'alarms.lowOffset'] as const;

/** Leaves out limits that a source holds but that are not in force, because its reference says otherwise. */
export function limitsInForce(values: SettingValues): SettingValues {
  const reference = values['alarms.reference'] as Reference | undefined;
  if (reference === undefined) return values;
  const idle: readonly SettingId[] =
    reference === 'absolute'
      ? relativeLimits
      : reference === 'relative'
        ? absoluteLimits
        : [...absoluteLimits, ...relativeLimits];
  return Object.fromEntries(Object.entries(values).filter(([id]) => !idle.includes(id as SettingId)));
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
  const from = referenceOf(meaning.values);
  if (from === undefined || from === 'none') return meaning;
  const to = canChoose(target, 'alarms.reference', from) ? from : targetReference(target, from);
  if (to === from) return remarkOnMovedOffsets(meaning, original, from);
  if (to === undefined || to === 'none') return meaning;
  const base = to === 'relative' ? targetSetpoint(meaning, target, display) : original['regulation.setpoint'];
  const lifted = changed(meaning, {
    converted: ['alarms.reference'],
    ...(canChoose(target, 'alarms.reference', to) && {
      set: { 'alarms.reference': to },
      recomputed: { 'alarms.reference': `this control's limits are ${to}` },
    }),
  });
  if (!isQuantity(base)) return loseLimits(lifted, from);
  return to === 'relative' ? toOffsets(lifted, base) : toTemperatures(lifted, base);
}

/** Offsets are copied as offsets; where the set point they count from has moved, the limits in degrees move too, and the row says so. */
function remarkOnMovedOffsets(meaning: Meaning, original: SettingValues, reference: Reference): Meaning {
  const [before, after] = [original['regulation.setpoint'], meaning.values['regulation.setpoint']];
  if (reference !== 'relative' || !isQuantity(before) || !isQuantity(after) || before.value === after.value)
    return meaning;
  const said = (offset: Quantity, sign: 1 | -1) => {
    const by = quantity(offset.value * sign, offset.unit);
    return `counts from a set point that has moved: the limit is now ${printQuantity(movedBy(after, by))} instead of ${printQuantity(movedBy(before, by))}`;
  };
  const [high, low] = relativeLimits.map((id) => meaning.values[id]);
  return changed(meaning, {
    remarks: {
      ...(isQuantity(high) && { 'alarms.highOffset': said(high, 1) }),
      ...(isQuantity(low) && { 'alarms.lowOffset': said(low, -1) }),
    },
  });
}

function toOffsets(meaning: Meaning, setpoint: Quantity): Meaning {
  return absoluteLimits.reduce((done, id, i) => {
    const limit = meaning.values[id];
    if (!isQuantity(limit)) return done;
    const becomes = relativeLimits[i]!;
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

function toTemperatures(meaning: Meaning, setpoint: Quantity): Meaning {
  return relativeLimits.reduce((done, id, i) => {
    const offset = meaning.values[id];
    if (!isQuantity(offset)) return done;
    const high = i === 0;
    const becomes = absoluteLimits[i]!;
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

function loseLimits(meaning: Meaning, from: Reference): Meaning {
  const ids: readonly SettingId[] = from === 'absolute' ? absoluteLimits : relativeLimits;
  const held = ids.filter((id) => meaning.values[id] !== undefined);
  return changed(meaning, {
    set: Object.fromEntries(held.map((id) => [id, undefined])),
    lost: Object.fromEntries(
      held.map((id) => [id, 'the limit cannot be counted anew: the set point is not on the sheet']),
    ),
  });
}

function referenceOf(values: SettingValues): Reference | undefined {
  const said = values['alarms.reference'] as Reference | undefined;
  if (said !== undefined) return said;
  if (relativeLimits.some((id) => values[id] !== undefined)) return 'relative';
  return absoluteLimits.some((id) => values[id] !== undefined) ? 'absolute' : undefined;
}

function targetReference(target: ControllerDefinition, from: Reference): Reference | undefined {
  const other: Reference = from === 'absolute' ? 'relative' : 'absolute';
  if (canChoose(target, 'alarms.reference', other)) return other;
  const standing = standingValue(target, 'alarms.reference') as Reference | undefined;
  if (standing !== undefined) return standing;
  const holds = (ids: readonly SettingId[]) => ids.some((id) => holdersOf(target, id).length > 0);
  if (holds(from === 'absolute' ? absoluteLimits : relativeLimits)) return from;
  return holds(from === 'absolute' ? relativeLimits : absoluteLimits) ? other : undefined;
}

/** The set point the target will stand on: unrounded, so that nothing is rounded twice, unless its range stops it. */
function targetSetpoint(
  meaning: Meaning,
  target: ControllerDefinition,
  display: DisplayState,
): Quantity | undefined {
  const moved = meaning.values['regulation.setpoint'];
  if (!isQuantity(moved)) return undefined;
  const holder = holdersOf(target, 'regulation.setpoint')[0];
  if (holder?.encoding.type !== 'number') return moved;
  const code = encodeNumber(moved, holder.encoding, display);
  return code?.clamped ? (decodeNumber(code.value, holder.encoding, display) as Quantity) : moved;
}
