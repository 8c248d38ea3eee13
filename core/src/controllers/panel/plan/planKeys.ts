import type { CodeValues, Menu } from '../../definitions/index.ts';
import { asShown } from '../../definitions/index.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { sensedCodes, type Machine, type PanelState } from '../machine.ts';
import { store } from '../values.ts';
import { changeTo } from './change.ts';
import { enterMenu } from './enter.ts';
import { leaveWith } from './leave.ts';
import { look } from './look.ts';
import { moveTo } from './move.ts';
import { orderOf, standsAt } from './order.ts';
import { Walker, type PlanStep } from './walker.ts';
import { CannotPlan, roundsOf, type Wish } from './wishes.ts';

/** Key strokes that set values, proven by running them. */
export interface KeyPlan {
  readonly steps: readonly PlanStep[];
  /** Memory after the last step. */
  readonly stored: CodeValues;
}

/** What a visit to a menu does at a code: sets it, or looks whether it was taken. */
interface Errand extends Wish {
  readonly look: boolean;
}

/**
 * The key strokes, from rest, that put every wished value in memory and leave every other as it was: the display's unit and tenths and a
 * preset first, each read back; then the rest in menu order. Codes not in `present` stand at their default. Throws
 * {@link CannotPlan} with a sentence where no strokes can do it. The plan is proven on the interpreter before it is returned.
 */
export function planKeys(machine: Machine, present: CodeValues, wishes: readonly Wish[]): KeyPlan {
  const start = panelAtRest(machine, present);
  const rounds = roundsOf(machine, start.memory, wishes);
  const walker = new Walker(machine, start);
  let wanted = start.memory;
  let looks: readonly Errand[] = [];
  for (const round of [rounds.display, rounds.presets, rounds.rest]) {
    const order = orderOf(machine, walker.state.memory, round);
    if (order.length === 0 && (round !== rounds.rest || looks.length === 0)) continue;
    for (const { code, value } of order) wanted = store(machine.definition, wanted, code, value);
    visit(walker, [...looks, ...order.map((wish) => ({ ...wish, look: false }))]);
    looks = round === rounds.rest ? [] : round.map((wish) => ({ ...wish, look: true }));
  }
  return prove(machine, start, walker.steps, wanted, wishes);
}

/** Does errands in their order, menu by menu: as many in one visit as the menu holds and its moves reach. */
function visit(walker: Walker, errands: readonly Errand[]): void {
  let left = errands;
  for (let guard = 3 * errands.length + 3; left.length > 0; guard -= 1) {
    if (guard === 0) throw new CannotPlan(`${left[0]!.code}: its menu's moves do not lead to it`);
    const menu = bestMenu(walker.machine, left);
    enterMenu(walker, menu);
    left = inOneVisit(
      walker,
      left,
      left.map((e) => e.code).filter((c) => walker.machine.codes.get(menu.id)!.includes(c)),
    );
  }
}

function inOneVisit(walker: Walker, errands: readonly Errand[], here: readonly string[]): readonly Errand[] {
  let wanted = walker.state.memory;
  let done = 0;
  for (const errand of errands) {
    if (!here.includes(errand.code)) break;
    const parameter = walker.machine.parameters.get(errand.code)!;
    // What sensing has set already needs no keys.
    if (!errand.look && standsAt(wanted, errand) && standsAt(walker.state.memory, errand)) {
      done += 1;
      continue;
    }
    if (!moveTo(walker, parameter)) break;
    if (errand.look) look(walker, errand.code, `It must show ${errand.value}.`);
    else {
      changeTo(walker, parameter, errand.value);
      wanted = store(walker.machine.definition, wanted, errand.code, errand.value);
    }
    done += 1;
  }
  leaveWith(walker, wanted);
  return errands.slice(done);
}

/** The menu that holds the first errand and most of those that follow; one that neither senses nor needs a switch where there is one. */
function bestMenu(machine: Machine, errands: readonly Errand[]): Menu {
  const scored = machine.panel.menus
    .filter((menu) => machine.codes.get(menu.id)!.includes(errands[0]!.code))
    .map((menu) => {
      const codes = machine.codes.get(menu.id)!;
      const first = errands.findIndex((e) => !codes.includes(e.code));
      const run = first < 0 ? errands.length : first;
      return { menu, score: run - (menu.senses ? 1000 : 0) - (menu.needs ? 2 : 0) };
    })
    .sort((a, b) => b.score - a.score);
  const best = scored[0];
  if (!best) throw new CannotPlan(`${errands[0]!.code}: no menu reaches it`);
  return best.menu;
}

/** Runs the steps on a fresh panel and holds the result against what was wished. */
function prove(
  machine: Machine,
  start: PanelState,
  steps: readonly PlanStep[],
  wanted: CodeValues,
  wishes: readonly Wish[],
): KeyPlan {
  let state = start;
  for (const step of steps) {
    const result = act(machine, state, step);
    if (result.shows !== step.shows)
      throw new CannotPlan(`the keystrokes do not repeat: expected ${step.shows}, found ${result.shows}`);
    state = result.state;
  }
  const normal = (machine.panel.switches ?? []).every((s) => state.switches.get(s.id) === s.normal);
  const fulfilled = wishes.every(({ code, value }) =>
    standsAt(state.memory, { code, value: asShown(machine.parameters.get(code)!, value) }),
  );
  const sensed = sensedCodes(machine);
  const untouched = [...wanted].every(
    ([code, value]) => sensed.has(code) || standsAt(state.memory, { code, value }),
  );
  if (state.phase !== 'rest' || !normal || !fulfilled || !untouched)
    throw new CannotPlan('no proven keystrokes were found for this panel');
  return { steps, stored: state.memory };
}
