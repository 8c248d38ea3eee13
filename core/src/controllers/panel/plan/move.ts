import type { Parameter } from '../../definitions/index.ts';
import { entriesOf, sameEntry } from '../entries.ts';
import { menuOf, type Entry } from '../machine.ts';
import type { Walker } from './walker.ts';

/** Goes to a parameter in the open menu. False, with nothing done, where its moves do not lead there from here. */
export function moveTo(walker: Walker, parameter: Parameter): boolean {
  const menu = menuOf(walker.machine, walker.state);
  const path = menu.layout === 'path' ? (parameter.path ?? []) : [];
  const trial = walker.copy();
  const about = { for: parameter.code };
  while (!trial.state.folder.every((name, i) => path[i] === name)) {
    if (menu.move?.back === undefined) return false;
    trial.press(menu.move.back, 1, about);
  }
  while (trial.state.folder.length < path.length) {
    const inside = path.slice(0, trial.state.folder.length + 1);
    if (!walkAlong(trial, { folder: inside }, about)) return false;
    trial.pressOnce(menu.move!.open!, about);
  }
  if (!walkAlong(trial, { code: parameter.code }, about)) return false;
  walker.become(trial);
  return true;
}

/** Along one list, the shorter way where it closes to a ring. */
function walkAlong(walker: Walker, target: Entry, about: { readonly for: string }): boolean {
  // A value being turned is taken or dropped by the first move, and may change what is listed: so step by step.
  const { move = {} } = menuOf(walker.machine, walker.state);
  for (let guard = 0; guard < 400; guard += 1) {
    if (walker.state.phase !== 'list' && walker.state.phase !== 'edit') return false;
    const entries = entriesOf(walker.machine, walker.state);
    const to = entries.findIndex((e) => sameEntry(e, target));
    const from = entries.findIndex((e) => sameEntry(e, walker.state.at));
    if (to < 0) return false;
    if (to === from) return true;
    const wraps = (move.end ?? 'wrap') === 'wrap';
    const ahead = to > from ? to - from : wraps ? to - from + entries.length : Infinity;
    const behind = to < from ? from - to : wraps ? from - to + entries.length : Infinity;
    const forward = move.next !== undefined && (move.previous === undefined || ahead <= behind);
    const [key, steps] = forward ? [move.next, ahead] : [move.previous, behind];
    if (key === undefined || steps === Infinity) return false;
    // The first step may take a value; the rest go in one.
    walker.press(key, walker.state.phase === 'edit' ? 1 : steps, about);
  }
  return false;
}
