import type { CodeValue, EditRules, EnterStep, MoveRules, Parameter } from '../definitions/index.ts';
import type { Fault, Goal, ShownStep } from './demonstration.ts';
import type { Parts } from './parts.ts';
import { shownAlike, shownNumber } from './shownText.ts';
import { standing, turnsOf } from './turns.ts';

/** A menu that shows values at once: one key walks, others turn. `at`: the step that shows the first value. */
export function byValues(
  steps: readonly ShownStep[],
  at: number,
  enter: readonly EnterStep[],
  order: readonly Parameter[],
  goal: Goal,
): Parts | Fault {
  const { parameter: target, value } = goal;
  const last = order.indexOf(target);
  const present = new Map<string, CodeValue>();
  let move: MoveRules = {};
  let edit: EditRules = { starts: 'atOnce' };
  standing(present, order[0]!, steps[at]!.shows);
  let i = at + 1;
  for (let here = 0; here < last && i < steps.length; i += 1) {
    const { act, shows } = steps[i]!;
    const key = act.keys?.[0];
    if (key === undefined || shows === null)
      return { problem: `Step ${i + 1}: the menu closes before ${target.code} is reached.`, step: i };
    move = { ...move, next: key };
    here += act.times ?? 1;
    if (order[here]) standing(present, order[here]!, shows);
  }
  const turned = turnsOf(steps, i, steps[i - 1]!.shows, goal, false);
  edit = { ...edit, ...turned.edit };
  i = turned.at;
  if (!shownAlike(steps[i - 1]!.shows ?? '', value))
    return {
      problem: `Step ${i}: the display shows ${steps[i - 1]!.shows ?? 'the normal display'}; expected ${value} for ${target.code}.`,
      step: i - 1,
    };
  const after = steps[i];
  const key = after?.act.keys?.[0];
  // A key of its own that leaves the value on the display takes it; else whatever leads on does.
  if (after && key !== undefined && after.shows !== null && shownAlike(after.shows, value)) {
    edit = { ...edit, take: key };
    i += 1;
  } else edit = { ...edit, take: 'move' };
  const walk = steps.slice(i, -1).find(({ act }) => act.action === 'press' && act.keys?.length === 1);
  if (move.next === undefined && walk) move = { ...move, next: walk.act.keys![0]! };
  const before = steps.at(-2) ?? steps.at(-1)!;
  const asked = i < steps.length && before.shows !== null && shownNumber(before.shows) === null;
  return { enter, layout: 'list', text: false, move, edit, leaving: [before, steps.at(-1)!], asked, present };
}
