import {
  placeBand,
  placementOf as placementOfWord,
  shareToCutOut,
} from '../../foundation/regulation/index.ts';
import {
  baseValue,
  isQuantity,
  printQuantity,
  quantity,
  valueIn,
  type Quantity,
} from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import { changed, type Change, type Meaning } from './meaning.ts';
import { canChoose, holdersOf, standingValue } from './target.ts';

const QUIET = 'setpointIsCutOut';

/** A stage's settings; its offsets from the first stage are treated apart. */
interface Stage {
  readonly placement: SettingId;
  readonly setpoint: SettingId;
  readonly moved: readonly SettingId[];
  readonly differential: SettingId;
  readonly action: SettingId;
}

const first: Stage = {
  placement: 'regulation.differentialPlacement',
  setpoint: 'regulation.setpoint',
  moved: ['regulation.setpoint', 'regulation.setpointMin', 'regulation.setpointMax'],
  differential: 'regulation.differential',
  action: 'regulation.action',
};

const second: Stage = {
  placement: 'stage2.differentialPlacement',
  setpoint: 'stage2.setpoint',
  moved: ['stage2.setpoint'],
  differential: 'stage2.differential',
  action: 'stage2.action',
};

/**
 * Keeps cut-out and cut-in where the band lies elsewhere about the target's set point: set point = cut-out + (0, ½, 1)·D for cooling,
 * mirrored for heating; the user's limits move along. 36 + 4 with the set point as cut-out is 38 with the set point in the middle.
 * Where the target can choose the placement it is copied and nothing moves.
 */
export function keepBand(meaning: Meaning, target: ControllerDefinition): Meaning {
  const one = shiftOf(meaning, target, first, QUIET, QUIET);
  const afterFirst = one ? changed(meaning, moveStage(meaning, first, one)) : meaning;
  if (holdersOf(target, 'stage2.setpoint').length + holdersOf(target, 'stage2.offset').length === 0)
    return afterFirst;
  const two = shiftOf(
    meaning,
    target,
    second,
    placementOf(meaning, first),
    one?.to ?? placementOf(meaning, first),
  );
  const afterSecond = two ? changed(afterFirst, moveStage(meaning, second, two)) : afterFirst;
  return keepOffset(afterSecond, (two?.by.value ?? 0) - (one?.by.value ?? 0));
}

interface Shift {
  readonly from: string;
  readonly to: string;
  /** The distance every set point moves, in the unit the differential was typed in. */
  readonly by: Quantity;
  readonly known: boolean;
  readonly isParameter: boolean;
}

function shiftOf(
  meaning: Meaning,
  target: ControllerDefinition,
  stage: Stage,
  quietFrom: string,
  quietTo: string,
): Shift | null {
  const from = (meaning.values[stage.placement] as string | undefined) ?? quietFrom;
  if (meaning.values[stage.placement] !== undefined && canChoose(target, stage.placement, from)) return null;
  const to = (standingValue(target, stage.placement) as string | undefined) ?? quietTo;
  if (from === to) return null;
  const width = meaning.values[stage.differential];
  const known = isQuantity(width);
  const direction = meaning.values[stage.action] === 'heat' ? -1 : 1;
  const share = (shareToCutOut(placementOfWord(to)) - shareToCutOut(placementOfWord(from))) * direction;
  const by = known ? quantity(width.value * share, width.unit) : quantity(0, 'K');
  return { from, to, by, known, isParameter: holdersOf(target, stage.placement).length > 0 };
}

function moveStage(meaning: Meaning, stage: Stage, shift: Shift): Change {
  const set: Partial<Record<SettingId, SettingValue>> = {};
  const recomputed: Partial<Record<SettingId, string>> = {};
  for (const id of stage.moved) {
    const value = meaning.values[id];
    if (!isQuantity(value)) continue;
    set[id] = movedBy(value, shift.by);
    recomputed[id] = sentence(meaning, stage, shift, id, value);
  }
  if (shift.isParameter) {
    set[stage.placement] = shift.to;
    recomputed[stage.placement] = `this control has no such choice; the set point moves instead`;
  }
  return { set, recomputed, converted: [stage.placement] };
}

function sentence(meaning: Meaning, stage: Stage, shift: Shift, id: SettingId, value: Quantity): string {
  if (!shift.known)
    return `the band lies elsewhere about the set point here, and the differential is not on the sheet: set it by cut-out and cut-in`;
  if (id !== stage.setpoint)
    return `the end user's limits move with the set point, by ${printQuantity(shift.by)}`;
  const width = meaning.values[stage.differential] as Quantity;
  const heats = meaning.values[stage.action] === 'heat';
  const { cutOut: down, cutIn: up } = placeBand(0, width.value, placementOfWord(shift.from), heats);
  const cutOut = movedBy(value, quantity(down, width.unit));
  const cutIn = movedBy(value, quantity(up, width.unit));
  const place = {
    setpointIsCutOut: 'where it stops',
    setpointIsMiddle: 'the middle',
    setpointIsCutIn: 'where it starts',
  }[shift.to];
  return `runs from ${printQuantity(cutIn)} to ${printQuantity(cutOut)}; this control's set point is ${place}`;
}

/** A relative second set point keeps its place when the two bands move by different distances. */
function keepOffset(meaning: Meaning, by: number): Meaning {
  const offset = meaning.values['stage2.offset'];
  const width = meaning.values['stage2.differential'] ?? meaning.values['regulation.differential'];
  if (by === 0 || !isQuantity(offset) || !isQuantity(width)) return meaning;
  const moved = quantity(offset.value + valueIn(quantity(by, width.unit), offset.unit), offset.unit);
  return changed(meaning, {
    set: { 'stage2.offset': moved },
    recomputed: {
      'stage2.offset': `counted between the set points of this control, which move by different distances`,
    },
  });
}

function placementOf(meaning: Meaning, stage: Stage): string {
  return (meaning.values[stage.placement] as string | undefined) ?? QUIET;
}

/** A temperature moved by a difference, kept in the unit it was typed in. */
export function movedBy(t: Quantity, by: Quantity): Quantity {
  const unit = t.unit === 'degF' ? 'deltaF' : 'K';
  return quantity(t.value + valueIn(by, unit), t.unit);
}

/** How far one temperature lies above another, in the difference unit that belongs to the first. */
export function distance(above: Quantity, below: Quantity): Quantity {
  const unit = above.unit === 'degF' ? 'deltaF' : 'K';
  if (above.unit === below.unit) return quantity(above.value - below.value, unit);
  return quantity(valueIn(quantity(baseValue(above) - baseValue(below), 'K'), unit), unit);
}
