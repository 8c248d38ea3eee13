import type { CodeValues, Menu } from '../../definitions/index.ts';
import { panelAtRest } from '../interpreter.ts';
import { menuOf, type Machine, type PanelState } from '../machine.ts';
import { setsDisplay, store } from '../values.ts';
import { changeTo } from './change.ts';
import { enterMenu } from './enter.ts';
import { leaveWith } from './leave.ts';
import { look } from './look.ts';
import { moveTo } from './move.ts';
import { standsAt } from './order.ts';
import { Walker, type PlanStep } from './walker.ts';
import { CannotPlan, roundsOf, type Wish } from './wishes.ts';

/**
 * Strokes for one code, and the code at which the display stands after them: some panels go on to the next by themselves, and some must be left
 * before what was set counts (null: the standard display).
 */
export interface CodeStrokes {
  readonly steps: readonly PlanStep[];
  readonly ends: string | null;
  /** Those of the steps that turn the value, up to the one before `to`; null where it stands already. */
  readonly turns: { readonly from: number; readonly to: number } | null;
}

/**
 * The strokes for one code while a whole list is keyed in: from the standard display, or from the code the display shows now (`from`), to
 * the value taken; the menu stays open. Where the value stands already, the way there and a look at it. The steps were run on the
 * interpreter. Throws {@link CannotPlan} with a sentence: a code that is hidden for now, a `from` the menus do not show.
 */
export function strokesFor(
  machine: Machine,
  present: CodeValues,
  wish: Wish,
  from: string | null,
): CodeStrokes {
  const start = panelAtRest(machine, present);
  const rounds = roundsOf(machine, start.memory, [wish]);
  const wanted = [...rounds.display, ...rounds.presets, ...rounds.rest][0]!;
  const parameter = machine.parameters.get(wanted.code)!;
  const walker = walkerAt(machine, present, from);
  if (walker.state.phase !== 'rest' && !moveTo(walker, parameter)) leaveWith(walker, start.memory);
  if (walker.state.phase === 'rest') {
    const ways = menusWith(machine, wanted.code).flatMap((menu) => {
      const trial = walker.copy();
      enterMenu(trial, menu);
      return moveTo(trial, parameter) ? [trial] : [];
    });
    const best = ways[0];
    if (!best) {
      const master = parameter.visibleWhen?.code;
      throw new CannotPlan(
        master === undefined
          ? `${wanted.code}: the menu's moves do not lead to it`
          : `${wanted.code}: not in the menu for now; it comes with ${master}, which is set first`,
      );
    }
    walker.become(best);
  }
  if (standsAt(start.memory, wanted)) look(walker, wanted.code);
  else {
    changeTo(walker, parameter, wanted.value);
    // What every other number is shown in must be saved before the next one is keyed.
    const setsOthers = rounds.rest.length === 0;
    if (setsOthers && walker.state.menu !== null && menuOf(machine, walker.state).stores === 'leaving')
      leaveWith(walker, store(machine.definition, start.memory, wanted.code, wanted.value));
  }
  // A panel that goes on by itself may stand on a folder now; the next strokes are counted from a code.
  if (walker.state.at && 'folder' in walker.state.at && !moveTo(walker, parameter))
    leaveWith(walker, store(machine.definition, start.memory, wanted.code, wanted.value));
  const { at } = walker.state;
  const { steps, turns } = walker;
  return { steps, turns, ends: at && 'code' in at ? at.code : null };
}

/** The strokes that leave the menu the display stands in, so that everything taken stays. */
export function strokesOut(machine: Machine, present: CodeValues, from: string): readonly PlanStep[] {
  const walker = walkerAt(machine, present, from);
  leaveWith(walker, panelAtRest(machine, present).memory);
  return walker.steps;
}

/** A panel that shows a code in its list, with no steps written down yet. */
function walkerAt(machine: Machine, present: CodeValues, from: string | null): Walker {
  const start = panelAtRest(machine, present);
  if (from === null) return new Walker(machine, start);
  const parameter = machine.parameters.get(from);
  if (!parameter) throw new CannotPlan(`${from}: no code of this controller`);
  for (const menu of menusWith(machine, from)) {
    const walker = new Walker(machine, start);
    enterMenu(walker, menu);
    if (moveTo(walker, parameter))
      return new Walker(machine, withSomethingInHand(machine, walker.state, menu));
  }
  throw new CannotPlan(`${from}: the menus do not show it with the values now in the control`);
}

/**
 * Where a menu saves on leaving, what was keyed is still in hand: the value of one of its codes stands for all of it, and memory holds
 * something else, so that a way out that discards is never taken for one that keeps. It is a code on which no other's look depends.
 */
function withSomethingInHand(machine: Machine, state: PanelState, menu: Menu): PanelState {
  const code = machine.codes
    .get(menu.id)!
    .find((c) => state.memory.has(c) && !setsDisplay(machine.parameters.get(c)!));
  if (menu.stores !== 'leaving' || code === undefined) return state;
  const value = state.memory.get(code)!;
  return { ...state, hand: new Map([[code, value]]), memory: new Map(state.memory).set(code, NOT_SAVED) };
}

const NOT_SAVED = '(not saved)';

/** Menus that hold a code: those without a switch to be moved first, then the longest, in which a whole list is keyed in one visit. */
function menusWith(machine: Machine, code: string): readonly Menu[] {
  return machine.panel.menus
    .filter((menu) => machine.codes.get(menu.id)!.includes(code))
    .sort(
      (a, b) =>
        Number(a.needs !== undefined) - Number(b.needs !== undefined) ||
        machine.codes.get(b.id)!.length - machine.codes.get(a.id)!.length,
    );
}

/** Values of a panel after some codes were keyed in, the display's unit and tenths first: the rest is shown in them. */
export function afterKeying(machine: Machine, present: CodeValues, keyed: readonly Wish[]): CodeValues {
  const first = (wish: Wish) => Number(!setsDisplay(machine.parameters.get(wish.code)!));
  return [...keyed]
    .sort((a, b) => first(a) - first(b))
    .reduce(
      (values, { code, value }) => store(machine.definition, values, code, value),
      panelAtRest(machine, present).memory,
    );
}
