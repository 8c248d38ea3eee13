import {
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type EditRules,
  type NumberScale,
  type Parameter,
} from '../definitions/index.ts';
import { clean, decimalsOf } from '../../foundation/quantities/index.ts';
import type { Edit, Machine, PanelState } from './machine.ts';
import { displayNow, standingValues } from './values.ts';

/** The options of a parameter in file order: of a choice, or the presets. */
export function optionsOf(machine: Machine, parameter: Parameter): readonly CodeValue[] {
  const { encoding } = parameter;
  if (encoding.type === 'choice') return encoding.options.map((o) => o.value);
  if (encoding.type === 'preset') return (machine.definition.presets ?? []).map((p) => p.id);
  return [];
}

/** The scale of a number parameter on the display as it stands; null for the others. */
export function scaleNow(machine: Machine, state: PanelState, parameter: Parameter): NumberScale | null {
  return parameter.encoding.type === 'number'
    ? scaleOf(parameter.encoding, displayNow(machine, state))
    : null;
}

/** An edit that begins with the value as it stands. */
export function beginEdit(machine: Machine, state: PanelState, parameter: Parameter, rules: EditRules): Edit {
  const value = standingValues(state).get(parameter.code);
  const scale = scaleNow(machine, state, parameter);
  if (!scale)
    return {
      by: 'option',
      index: Math.max(
        0,
        optionsOf(machine, parameter).findIndex((o) => value !== undefined && sameCodeValue(o, value)),
      ),
    };
  if (rules.by !== 'digits') return { by: 'number', value: Number(value) };
  const places = placesOf(scale);
  const digits = digitsOf(Math.abs(Number(value)), scale, places);
  const signed = scale.min < 0;
  return {
    by: 'digits',
    digits,
    negative: Number(value) < 0,
    signed,
    cursor: rules.cursor === 'right' ? digits.length - 1 + (signed ? 1 : 0) : 0,
  };
}

/** Digits a number needs so that both ends can be typed; the point takes no place. */
export function placesOf(scale: NumberScale): number {
  const decimals = decimalsOf(scale.resolution);
  const most = Math.max(Math.abs(scale.min), Math.abs(scale.max));
  return Math.max(String(Math.round(most * 10 ** decimals)).length, decimals + 1);
}

/** The digits of an amount, filled with zeros on the left. */
export function digitsOf(amount: number, scale: NumberScale, places: number): readonly number[] {
  const whole = String(Math.round(amount * 10 ** decimalsOf(scale.resolution))).padStart(places, '0');
  return [...whole.slice(-places)].map(Number);
}

/** One turn of `more` or `less`. */
export function turn(
  machine: Machine,
  state: PanelState,
  parameter: Parameter,
  rules: EditRules,
  edit: Edit,
  by: 1 | -1,
): Edit {
  const wraps = rules.ends === 'wrap';
  if (edit.by === 'option') {
    const count = optionsOf(machine, parameter).length;
    const next = edit.index + by;
    if (next >= 0 && next < count) return { ...edit, index: next };
    return wraps ? { ...edit, index: (next + count) % count } : edit;
  }
  if (edit.by === 'digits') {
    if (edit.signed && edit.cursor === 0) return { ...edit, negative: !edit.negative };
    const place = edit.cursor - (edit.signed ? 1 : 0);
    return {
      ...edit,
      digits: edit.digits.map((digit, i) => (i === place ? (digit + by + 10) % 10 : digit)),
    };
  }
  const scale = scaleNow(machine, state, parameter)!;
  const next = clean(edit.value + by * scale.resolution, decimalsOf(scale.resolution));
  if (next <= scale.max + 1e-9 && next >= scale.min - 1e-9) return { ...edit, value: next };
  return wraps ? { ...edit, value: by > 0 ? scale.min : scale.max } : edit;
}

/**
 * Several turns one after the other, as {@link turn} does them. Of a number on its steps all that go the same way up to an end are one sum: planning turns a value some
 * hundred times.
 */
export function turnTimes(
  machine: Machine,
  state: PanelState,
  parameter: Parameter,
  rules: EditRules,
  edit: Edit,
  by: 1 | -1,
  times: number,
): Edit {
  let [now, left] = [edit, times];
  const scale = edit.by === 'number' ? scaleNow(machine, state, parameter) : null;
  while (left > 0) {
    // The first of them comes onto the steps, or round the end.
    now = turn(machine, state, parameter, rules, now, by);
    left -= 1;
    if (!scale || now.by !== 'number') continue;
    const room = (by > 0 ? scale.max - now.value : now.value - scale.min) / scale.resolution;
    const atOnce = Math.min(left, Math.max(0, Math.floor(room + STEP_TOLERANCE)));
    if (atOnce > 0) {
      const value = clean(now.value + by * atOnce * scale.resolution, decimalsOf(scale.resolution));
      now = { ...now, value };
      left -= atOnce;
    } else if (rules.ends !== 'wrap') return now;
  }
  return now;
}

/** How far the room to an end may lie from a whole step: binary fractions. */
const STEP_TOLERANCE = 1e-9;

/** Moves the cursor of a typed number; it stops at the ends. */
export function moveCursor(edit: Edit, by: 1 | -1): Edit {
  if (edit.by !== 'digits') return edit;
  return { ...edit, cursor: Math.min(Math.max(edit.cursor + by, 0), lastPlace(edit)) };
}

/** True where `right` can go no further, so that the same key may take. */
export function atLastPlace(edit: Edit): boolean {
  return edit.by !== 'digits' || edit.cursor === lastPlace(edit);
}

function lastPlace(edit: Extract<Edit, { by: 'digits' }>): number {
  return edit.digits.length - 1 + (edit.signed ? 1 : 0);
}

/** The value an edit stands at, whether it can be taken or not. */
export function valueOfEdit(
  machine: Machine,
  state: PanelState,
  parameter: Parameter,
  edit: Edit,
): CodeValue {
  if (edit.by === 'option') return optionsOf(machine, parameter)[edit.index]!;
  if (edit.by === 'number') return edit.value;
  const decimals = decimalsOf(scaleNow(machine, state, parameter)!.resolution);
  const amount = Number(edit.digits.join('')) / 10 ** decimals;
  return clean(edit.negative ? -amount : amount, decimals);
}

/** True for a value that may be taken: a typed number must lie in the range and on the resolution. */
export function canTake(
  machine: Machine,
  state: PanelState,
  parameter: Parameter,
  value: CodeValue,
): boolean {
  const scale = scaleNow(machine, state, parameter);
  return scale === null || (typeof value === 'number' && fitsScale(value, scale));
}

/** Inside the range and on a step counted from 0. */
export function fitsScale(value: number, scale: NumberScale): boolean {
  const steps = value / scale.resolution;
  return value >= scale.min - 1e-9 && value <= scale.max + 1e-9 && Math.abs(steps - Math.round(steps)) < 1e-6;
}
