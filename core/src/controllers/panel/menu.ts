import type { Closing, LeaveRule, Menu, MoveRules, Parameter } from '../definitions/index.ts';
import { asShown } from '../definitions/index.ts';
import { fit, isPress, type Stroke } from './act.ts';
import { atLastPlace, beginEdit, canTake, moveCursor, turn, turnTimes, valueOfEdit } from './editing.ts';
import { entriesOf, positionOf, sameEntry } from './entries.ts';
import { menuOf, parameterAt, type Machine, type PanelState } from './machine.ts';
import { keep, save, toRest } from './memory.ts';
import { store } from './values.ts';

/** Opens a menu on its first entry; one that senses its probes does that first. */
export function openMenu(machine: Machine, state: PanelState, menu: Menu, sensed = false): PanelState {
  if (menu.senses && !sensed)
    return { ...toRest(state), phase: 'busy', menu: menu.id, busy: menu.senses.seconds };
  const memory = (menu.senses?.sets ?? []).reduce((standing, { code, probe, fitted, missing }) => {
    const parameter = machine.parameters.get(code);
    return parameter
      ? store(
          machine.definition,
          standing,
          code,
          asShown(parameter, machine.fitted(probe) ? fitted : missing),
        )
      : standing;
  }, state.memory);
  const opened: PanelState = { ...toRest({ ...state, memory }), phase: 'list', menu: menu.id };
  return { ...opened, at: entriesOf(machine, opened)[0] ?? null };
}

/** A stroke, or the supply going off, in `list` or `edit`. */
export function inMenu(machine: Machine, state: PanelState, stroke: Stroke | 'powerOff'): PanelState {
  const menu = menuOf(machine, state);
  const edit = menu.edit ?? {};
  const { move = {} } = menu;
  if (stroke === 'powerOff') {
    const rule = menu.leave?.find((l): l is Extract<LeaveRule, { power: 'off' }> => 'power' in l);
    return rule ? close(machine, ended(machine, state), rule.then ?? 'save') : toRest(state);
  }
  const parameter = parameterAt(machine, state);
  const by = isPress(stroke, edit.more) ? 1 : isPress(stroke, edit.less) ? -1 : 0;
  const sideways = isPress(stroke, edit.right) ? 1 : isPress(stroke, edit.left) ? -1 : 0;
  if (state.phase === 'edit' && parameter) {
    if (by !== 0) return { ...state, edit: turn(machine, state, parameter, edit, state.edit!, by) };
    const takesHere = edit.right === edit.take && sideways === 1 && atLastPlace(state.edit!);
    if (sideways !== 0 && !takesHere) return { ...state, edit: moveCursor(state.edit!, sideways) };
  }
  const leaving = longestLeave(menu, stroke);
  if (leaving) return close(machine, ended(machine, state), leaving.then ?? 'save');
  if (state.phase === 'edit' && parameter) {
    if (edit.take !== 'move' && edit.take !== 'release' && isPress(stroke, edit.take))
      return after(machine, taken(machine, state, parameter), menu);
    if (isPress(stroke, move.back) && (edit.starts ?? 'open') === 'open') return ended(machine, state);
    if (isPress(stroke, move.next) || isPress(stroke, move.previous) || isPress(stroke, move.back))
      return moved(machine, ended(machine, state), stroke);
    return state;
  }
  if (isMove(move, stroke) && !(isPress(stroke, move.open) && parameter))
    return moved(machine, state, stroke);
  if (!parameter || parameter.encoding.type === 'reading') return state;
  if (edit.starts === 'atOnce') {
    const begun: PanelState = {
      ...state,
      phase: 'edit',
      edit: beginEdit(machine, state, parameter, edit),
    };
    if (by !== 0 || sideways !== 0) return inMenu(machine, begun, stroke);
    if (edit.take !== 'move' && edit.take !== 'release' && isPress(stroke, edit.take))
      return after(machine, taken(machine, begun, parameter), menu);
    return state;
  }
  if ((edit.starts ?? 'open') === 'open' && isPress(stroke, move.open))
    return { ...state, phase: 'edit', edit: beginEdit(machine, state, parameter, edit) };
  return state;
}

/** Presses of a key that turns the value under edit, all at once; null where the stroke does something else, which comes one by one. */
export function turned(
  machine: Machine,
  state: PanelState,
  stroke: Stroke,
  times: number,
): PanelState | null {
  const { edit: rules = {} } = menuOf(machine, state);
  const by = isPress(stroke, rules.more) ? 1 : isPress(stroke, rules.less) ? -1 : 0;
  const parameter = by === 0 ? null : parameterAt(machine, state);
  if (by === 0 || !parameter || !state.edit) return null;
  return { ...state, edit: turnTimes(machine, state, parameter, rules, state.edit, by, times) };
}

/** The key of the holding style goes down: the value under the cursor can be turned. */
export function holdDown(machine: Machine, state: PanelState, key: string): PanelState {
  const held: PanelState = { ...state, holding: key };
  if (state.phase !== 'list') return held;
  const { edit = {} } = menuOf(machine, state);
  const parameter = parameterAt(machine, state);
  if (
    edit.starts !== 'holding' ||
    edit.holding !== key ||
    !parameter ||
    parameter.encoding.type === 'reading'
  )
    return held;
  return { ...held, phase: 'edit', edit: beginEdit(machine, state, parameter, edit) };
}

/** That key is let go: the value is taken where the menu takes at release, else dropped. */
export function letGo(machine: Machine, state: PanelState): PanelState {
  const loose: PanelState = { ...state, holding: null };
  if (state.phase !== 'edit') return loose;
  const menu = menuOf(machine, state);
  if (menu.edit?.starts !== 'holding') return loose;
  const parameter = parameterAt(machine, state);
  return menu.edit.take === 'release' && parameter
    ? after(machine, taken(machine, loose, parameter), menu)
    : { ...loose, phase: 'list', edit: null };
}

/** The answer to the question whether to save; another key leaves it standing. */
export function answer(machine: Machine, state: PanelState, stroke: Stroke): PanelState {
  const { ask } = menuOf(machine, state);
  if (isPress(stroke, ask?.yes)) return save(machine, state);
  return isPress(stroke, ask?.no) ? toRest(state) : state;
}

/** The menu closes by itself. */
export function timeOut(
  machine: Machine,
  state: PanelState,
  keeps: 'edit' | 'taken' | 'nothing',
): PanelState {
  if (keeps === 'nothing') return toRest(state);
  const parameter = parameterAt(machine, state);
  const kept =
    keeps === 'edit' && state.phase === 'edit' && parameter ? taken(machine, state, parameter) : state;
  return save(machine, kept);
}

/** The edit is over by an act that leaves the entry: taken where moving takes, else dropped. */
function ended(machine: Machine, state: PanelState): PanelState {
  if (state.phase !== 'edit') return state;
  const parameter = parameterAt(machine, state);
  return menuOf(machine, state).edit?.take === 'move' && parameter
    ? taken(machine, state, parameter)
    : { ...state, phase: 'list', edit: null };
}

/** The value goes to memory or in hand; one that cannot be meant leaves the old one standing. */
function taken(machine: Machine, state: PanelState, parameter: Parameter): PanelState {
  const value = valueOfEdit(machine, state, parameter, state.edit!);
  const listed: PanelState = { ...state, phase: 'list', edit: null };
  return canTake(machine, state, parameter, value) ? keep(machine, listed, parameter.code, value) : listed;
}

function after(machine: Machine, state: PanelState, menu: Menu): PanelState {
  return menu.edit?.then === 'next' ? next(machine, state) : state;
}

function close(machine: Machine, state: PanelState, how: Closing): PanelState {
  if (how === 'ask') return { ...state, phase: 'ask', edit: null };
  return how === 'save' ? save(machine, state) : toRest(state);
}

function longestLeave(menu: Menu, stroke: Stroke): { readonly then?: Closing } | null {
  let best: { readonly weight: number; readonly rule: LeaveRule } | null = null;
  for (const rule of menu.leave ?? []) {
    if (!('press' in rule)) continue;
    const weight = fit(rule.press, rule.seconds, stroke);
    if (weight !== null && (best === null || weight > best.weight)) best = { weight, rule };
  }
  return best?.rule ?? null;
}

function isMove(move: MoveRules, stroke: Stroke): boolean {
  return [move.next, move.previous, move.open, move.back].some((key) => isPress(stroke, key));
}

function moved(machine: Machine, state: PanelState, stroke: Stroke): PanelState {
  const { move = {} } = menuOf(machine, state);
  if (isPress(stroke, move.open) && state.at && 'folder' in state.at) {
    const inside: PanelState = { ...state, folder: state.at.folder };
    return { ...inside, at: entriesOf(machine, inside)[0] ?? null };
  }
  if (isPress(stroke, move.next)) return next(machine, state);
  if (isPress(stroke, move.previous)) return previous(machine, state);
  return isPress(stroke, move.back) ? back(machine, state) : state;
}

function next(machine: Machine, state: PanelState): PanelState {
  const entries = entriesOf(machine, state);
  const at = positionOf(machine, state);
  if (at < entries.length - 1) return { ...state, at: entries[at + 1]! };
  const end = menuOf(machine, state).move?.end ?? 'wrap';
  if (end === 'wrap') return { ...state, at: entries[0] ?? null };
  return end === 'stop' ? state : close(machine, state, end);
}

function previous(machine: Machine, state: PanelState): PanelState {
  const entries = entriesOf(machine, state);
  const at = positionOf(machine, state);
  if (at > 0) return { ...state, at: entries[at - 1]! };
  const wraps = (menuOf(machine, state).move?.end ?? 'wrap') === 'wrap';
  return wraps ? { ...state, at: entries.at(-1) ?? null } : state;
}

function back(machine: Machine, state: PanelState): PanelState {
  if (state.folder.length > 0) {
    const outside: PanelState = { ...state, folder: state.folder.slice(0, -1) };
    const entry = { folder: state.folder };
    const listed = entriesOf(machine, outside).find((e) => sameEntry(e, entry));
    return { ...outside, at: listed ?? entriesOf(machine, outside)[0] ?? null };
  }
  const root = menuOf(machine, state).move?.backAtRoot ?? 'stop';
  return root === 'stop' ? state : close(machine, state, root);
}
