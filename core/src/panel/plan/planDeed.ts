import { act, panelAtRest } from '../interpreter.ts';
import type { Machine } from '../machine.ts';
import type { CodeValues } from '../../controllers/index.ts';
import { gestureAct } from './gestureAct.ts';
import { leaveWith } from './leave.ts';
import { Walker, type PlanStep } from './walker.ts';
import { CannotPlan } from './wishes.ts';

/**
 * The key strokes of a deed, from rest and back to it, proven on the interpreter: that it is done, and that no value changed. Throws
 * {@link CannotPlan} where the panel has no such deed.
 */
export function planDeed(machine: Machine, present: CodeValues, does: string): readonly PlanStep[] {
  const deed = machine.panel.deeds?.find((d) => d.does === does);
  if (!deed) {
    const known = machine.panel.deeds?.map((d) => d.does) ?? [];
    throw new CannotPlan(
      `${does}: this panel has no such deed; ${known.length > 0 ? `it has ${known.join(', ')}` : 'it states none'}`,
    );
  }
  const start = panelAtRest(machine, present);
  const walker = new Walker(machine, start);
  for (const step of deed.steps) walker.do(gestureAct(machine.panel, step));
  if (walker.state.menu !== null) leaveWith(walker, start.memory);
  let state = start;
  for (const step of walker.steps) state = act(machine, state, step).state;
  const untouched = [...start.memory].every(([code, value]) => state.memory.get(code) === value);
  if (state.phase !== 'rest' || state.deeds.at(-1) !== does || !untouched)
    throw new CannotPlan(`${does}: its strokes do something else on this panel`);
  return walker.steps;
}
