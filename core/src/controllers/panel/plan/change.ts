import { sameCodeValue, type CodeValue, type EditRules, type Parameter } from '../../definitions/index.ts';
import { beginEdit, digitsOf, optionsOf, placesOf, scaleNow } from '../editing.ts';
import { menuOf, type Edit } from '../machine.ts';
import type { Walker } from './walker.ts';
import { CannotPlan } from './wishes.ts';

/** Turns the parameter under the cursor to a value and takes it; where moving on takes, it is left for the next move. */
export function changeTo(walker: Walker, parameter: Parameter, value: CodeValue): void {
  const menu = menuOf(walker.machine, walker.state);
  const rules = menu.edit ?? {};
  const about = { for: parameter.code };
  if ((rules.starts ?? 'open') === 'open') walker.pressOnce(menu.move!.open!, about);
  const edit = walker.state.edit ?? beginEdit(walker.machine, walker.state, parameter, rules);
  const keys =
    edit.by === 'digits'
      ? digitKeys(walker, parameter, rules, edit, Number(value))
      : turnKeys(walker, parameter, rules, edit, value);
  const from = walker.steps.length;
  const turned = () => (walker.turns = { from, to: walker.steps.length });
  if (rules.starts === 'holding') {
    const held = { holding: [rules.holding!] };
    keys.forEach(([key, times], i) => {
      const more = i < keys.length - 1 ? { keep: true } : {};
      walker.do({ action: 'press', keys: [key], times, ...held, ...more }, about);
    });
    turned();
    return;
  }
  for (const [key, times] of keys) walker.press(key, times, about);
  turned();
  if (rules.take !== undefined && rules.take !== 'move' && rules.take !== 'release')
    walker.pressOnce(rules.take, about);
}

type Keys = readonly (readonly [string, number])[];

/** The fewest turns of `more` or `less`, round the end where it wraps. */
function turnKeys(
  walker: Walker,
  parameter: Parameter,
  rules: EditRules,
  edit: Exclude<Edit, { by: 'digits' }>,
  value: CodeValue,
): Keys {
  const scale = scaleNow(walker.machine, walker.state, parameter);
  const options = optionsOf(walker.machine, parameter);
  const size = scale ? Math.round((scale.max - scale.min) / scale.resolution) + 1 : options.length;
  const place = (v: CodeValue) =>
    scale ? (Number(v) - scale.min) / scale.resolution : options.findIndex((o) => sameCodeValue(o, v));
  const from = edit.by === 'option' ? edit.index : place(edit.value);
  const distance = Math.round(place(value) - from);
  if (Math.abs(place(value) - from - distance) > 1e-6)
    throw new CannotPlan(
      `${parameter.code}: it stands at ${String(edit.by === 'number' ? edit.value : '')}, off its steps; no turning leads to ${value}`,
    );
  const ways: [string, number][] = [];
  const add = (key: string | undefined, steps: number) => {
    if (key === undefined) return;
    if (steps >= 0) ways.push([key, steps]);
    else if (rules.ends === 'wrap') ways.push([key, steps + size]);
  };
  add(rules.more, distance);
  add(rules.less, -distance);
  if (rules.ends === 'wrap') ways.forEach(([key, steps]) => ways.push([key, (steps + size) % size]));
  const best = ways.sort((a, b) => a[1] - b[1])[0];
  if (!best) throw new CannotPlan(`${parameter.code}: its keys turn one way only and do not reach ${value}`);
  return [best];
}

/** Place after place, each digit the shorter way round. */
function digitKeys(
  walker: Walker,
  parameter: Parameter,
  rules: EditRules,
  edit: Extract<Edit, { by: 'digits' }>,
  value: number,
): Keys {
  const scale = scaleNow(walker.machine, walker.state, parameter)!;
  const wanted = digitsOf(Math.abs(value), scale, placesOf(scale));
  const offset = edit.signed ? 1 : 0;
  const turnsAt = (place: number): readonly [string, number] | null => {
    if (edit.signed && place === 0)
      return edit.negative === value < 0 ? null : [(rules.more ?? rules.less)!, 1];
    const up = (wanted[place - offset]! - edit.digits[place - offset]! + 10) % 10;
    if (up === 0) return null;
    if (rules.more !== undefined && (rules.less === undefined || up <= 5)) return [rules.more, up];
    return [rules.less!, 10 - up];
  };
  const last = edit.digits.length - 1 + offset;
  const places = Array.from({ length: last + 1 }, (_, i) => i).filter((i) => turnsAt(i) !== null);
  const keys: (readonly [string, number])[] = [];
  let cursor = edit.cursor;
  const go = (place: number) => {
    const key = place > cursor ? rules.right : rules.left;
    if (place !== cursor && key === undefined)
      throw new CannotPlan(`${parameter.code}: the cursor cannot go to the place of a digit`);
    if (place !== cursor) keys.push([key!, Math.abs(place - cursor)]);
    cursor = place;
  };
  for (const place of cursor === 0 ? places : [...places].reverse()) {
    go(place);
    keys.push(turnsAt(place)!);
  }
  if (rules.right === rules.take) go(last);
  return keys;
}
