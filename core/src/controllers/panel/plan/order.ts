import { isVisible, sameCodeValue, type CodeValues } from '../../definitions/index.ts';
import type { Machine } from '../machine.ts';
import { store } from '../values.ts';
import { CannotPlan, type Wish } from './wishes.ts';

/**
 * The order in which values are set so that each is in the menu when its turn comes: in menu order, but a value that would hide one still
 * to be set waits for it; a code that is hidden is brought into the menu by setting what hides it for a while, and setting that back.
 */
export function orderOf(machine: Machine, memory: CodeValues, wishes: readonly Wish[]): readonly Wish[] {
  const places = new Map(machine.definition.parameters.map((p, i) => [p.code, i]));
  const byMenu = (a: Wish, b: Wish) => places.get(a.code)! - places.get(b.code)!;
  let values = memory;
  let pending = wishes.filter((w) => !standsAt(values, w)).sort(byMenu);
  const done: Wish[] = [];
  const set = (wish: Wish) => {
    done.push(wish);
    values = store(machine.definition, values, wish.code, wish.value);
  };
  for (let guard = 4 * wishes.length + 4; pending.length > 0; guard -= 1) {
    if (guard === 0)
      throw new CannotPlan(`${pending[0]!.code}: no order of settings brings it into the menu`);
    const ready = pending.filter((w) => inMenu(machine, values, w.code));
    const hidden = pending.filter((w) => !ready.includes(w));
    const free = ready.find(
      (w) =>
        !hidesAnother(machine, values, w, ready) && !hidden.some((h) => dependsOn(machine, h.code, w.code)),
    );
    const next = free ?? (hidden.length === 0 ? ready[0] : undefined);
    if (next) {
      set(next);
      pending = pending.filter((w) => w !== next);
      continue;
    }
    const uncovering = uncover(machine, values, hidden[0]!.code);
    const final = wishes.find((w) => w.code === uncovering.code)?.value;
    const back: Wish = { code: uncovering.code, value: final ?? memory.get(uncovering.code)! };
    set(uncovering);
    pending = pending.filter((w) => w.code !== uncovering.code);
    if (!standsAt(values, back)) pending = [...pending, back].sort(byMenu);
  }
  return done;
}

export function standsAt(values: CodeValues, wish: Wish): boolean {
  const value = values.get(wish.code);
  return value !== undefined && sameCodeValue(value, wish.value);
}

function inMenu(machine: Machine, values: CodeValues, code: string): boolean {
  return isVisible(machine.definition, machine.parameters.get(code)!, values);
}

function hidesAnother(machine: Machine, values: CodeValues, wish: Wish, ready: readonly Wish[]): boolean {
  const then = store(machine.definition, values, wish.code, wish.value);
  return ready.some((other) => other !== wish && !inMenu(machine, then, other.code));
}

/** True where a code is in the menu only for some values of the other, or of one that depends on it. */
function dependsOn(machine: Machine, code: string, other: string): boolean {
  const master = machine.parameters.get(code)?.visibleWhen?.code;
  return master !== undefined && (master === other || dependsOn(machine, master, other));
}

/** What must be set for a while so that a hidden code comes nearer to the menu: the topmost condition that does not hold. */
function uncover(machine: Machine, values: CodeValues, code: string): Wish {
  let hidden = machine.parameters.get(code)!;
  for (;;) {
    const condition = hidden.visibleWhen!;
    const master = machine.parameters.get(condition.code);
    const reachable = [...machine.codes.values()].some((codes) => codes.includes(condition.code));
    if (!master || !reachable || condition.in[0] === undefined)
      throw new CannotPlan(`${code}: it is hidden, and no menu reaches ${condition.code}, which hides it`);
    if (inMenu(machine, values, master.code)) return { code: master.code, value: condition.in[0] };
    hidden = master;
  }
}
