import type { CodeValues } from '../../definitions/index.ts';
import { atEase, readyFor, type Condition } from '../condition.ts';
import { act, panelAtRest } from '../interpreter.ts';
import type { Machine, PanelState } from '../machine.ts';
import { gestureAct } from './gestureAct.ts';
import { leaveWith } from './leave.ts';
import { Walker, type PlanStep } from './walker.ts';
import { CannotPlan } from './wishes.ts';

/** How a control stands before a deed, and which alarm is meant where one is cleared. */
export interface DeedAsk {
  readonly condition?: Condition;
  readonly alarm?: string;
}

/**
 * The key strokes of a deed, from rest and back to it, proven on the interpreter: that it is done, and that no value changed. A deed that
 * ends something (a defrost, a lock) is planned from where it can be done. `showAlarms` pages until no alarm is left; `clearAlarm` pages to
 * the alarm asked for first. Throws {@link CannotPlan} where the panel has no such deed, or no such alarm stands.
 */
export function planDeed(
  machine: Machine,
  present: CodeValues,
  does: string,
  ask: DeedAsk = {},
): readonly PlanStep[] {
  const condition = readyFor(does, ask.condition ?? atEase);
  const start = panelAtRest(machine, present, condition);
  const walker = new Walker(machine, start);
  if (does === 'clearAlarm' && ask.alarm !== undefined) {
    if (!condition.alarms.includes(ask.alarm))
      throw new CannotPlan(`clearAlarm: the alarm ${ask.alarm} does not stand`);
    while (walker.state.condition.page !== ask.alarm) strokesOfDeed(walker, 'showAlarms');
  }
  strokesOfDeed(walker, does);
  while (does === 'showAlarms' && walker.state.condition.page !== null) strokesOfDeed(walker, does);
  if (walker.state.menu !== null) leaveWith(walker, start.memory);
  prove(machine, start, walker.steps, does, ask);
  return walker.steps;
}

function strokesOfDeed(walker: Walker, does: string): void {
  const { panel } = walker.machine;
  const deed = panel.deeds?.find((d) => d.does === does);
  if (!deed) {
    const known = panel.deeds?.map((d) => d.does) ?? [];
    throw new CannotPlan(
      `${does}: this panel has no such direct action; ${known.length > 0 ? `it has ${known.join(', ')}` : 'it states none'}`,
    );
  }
  const before = walker.state.deeds.length;
  walker.apart();
  for (const step of deed.steps) walker.do(gestureAct(panel, step));
  if (walker.state.deeds.length !== before + 1 || walker.state.deeds.at(-1) !== does)
    throw new CannotPlan(`${does}: its keystrokes do something else on this panel`);
}

function prove(
  machine: Machine,
  start: PanelState,
  steps: readonly PlanStep[],
  does: string,
  ask: DeedAsk,
): void {
  let state = start;
  for (const step of steps) state = act(machine, state, step).state;
  const untouched = [...start.memory].every(([code, value]) => state.memory.get(code) === value);
  const cleared = ask.alarm === undefined || !state.condition.alarms.includes(ask.alarm);
  if (state.phase !== 'rest' || state.deeds.at(-1) !== does || !untouched || !cleared)
    throw new CannotPlan(`${does}: its keystrokes do something else on this panel`);
}
