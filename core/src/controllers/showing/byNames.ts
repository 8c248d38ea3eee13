import type { CodeValue, EditRules, EnterStep, MoveRules } from '../definitions/index.ts';
import type { Fault, Goal, ShownStep } from './demonstration.ts';
import type { Parts } from './parts.ts';
import { same, type ShownEntries, type ShownEntry } from './shownEntries.ts';
import { standing, turnsOf } from './turns.ts';

/** A menu that shows the names of its entries: move, open, change, take. `at`: the step that shows the first entry. */
export function byNames(
  steps: readonly ShownStep[],
  at: number,
  enter: readonly EnterStep[],
  entries: ShownEntries,
  goal: Goal,
): Parts | Fault {
  const target = goal.parameter;
  let move: MoveRules = {};
  let edit: EditRules = {};
  const present = new Map<string, CodeValue>();
  let here = entries.find(steps[at]!.shows);
  if (!here)
    return {
      problem: `Step ${at + 1}: ${steps[at]!.shows ?? 'the normal display'} is no code of this controller; expected the menu’s first entry.`,
      step: at,
    };
  let i = at + 1;
  for (; i < steps.length; i += 1) {
    const { act, shows } = steps[i]!;
    const next = entries.find(shows);
    if (!next || act.holding) break;
    move = { ...move, ...moved(entries, here, next, act.keys?.[0], act.times ?? 1) };
    here = next;
  }
  if (here.parameter !== target)
    return {
      problem: `Step ${i}: the display shows ${steps[i - 1]!.shows}, not ${target.code}: show the keys until ${target.code} is reached.`,
      step: i - 1,
    };
  const opens = steps[i];
  if (!opens) return { problem: `The steps end before ${target.code} is changed.`, step: steps.length - 1 };
  const held = opens.act.holding?.[0];
  if (held === undefined) {
    move = { ...move, ...(opens.act.keys?.[0] && { open: opens.act.keys[0] }) };
    standing(present, target, opens.shows);
    i += 1;
  } else edit = { ...edit, starts: 'holding', holding: held, take: 'release' };
  const turned = turnsOf(steps, i, opens.shows, goal, held !== undefined);
  edit = { ...edit, ...turned.edit };
  if (held !== undefined && turned.before !== null) standing(present, target, turned.before);
  i = turned.at;
  const after = steps[i];
  const reached = after ? entries.find(after.shows) : null;
  if (held === undefined && after && reached) {
    const key = after.act.keys?.[0];
    edit = { ...edit, ...(key && { take: key }), then: reached.parameter === target ? 'stay' : 'next' };
    here = reached;
    i += 1;
  } else if (held === undefined) edit = { ...edit, take: 'move' };
  // Further entries that were walked through on the way out.
  for (; i < steps.length - 1; i += 1) {
    const { act, shows } = steps[i]!;
    const next = entries.find(shows);
    if (next) move = { ...moved(entries, here, next, act.keys?.[0], act.times ?? 1), ...move };
    here = next ?? here;
  }
  const before = steps.at(-2) ?? steps.at(-1)!;
  const { layout, text } = entries;
  const asked =
    i < steps.length && before.shows !== null && !entries.find(before.shows) && steps.length - 2 >= turned.at;
  return { enter, layout, text, move, edit, leaving: [before, steps.at(-1)!], asked, present };
}

/** What a key did that led from one entry to another. */
function moved(
  entries: ShownEntries,
  from: ShownEntry,
  to: ShownEntry,
  key: string | undefined,
  times: number,
): MoveRules {
  if (key === undefined || from === to) return {};
  if (from.parameter === null && same(to.parent, from.path)) return { open: key };
  if (to.parameter === null && same(from.parent, to.path)) return { back: key };
  if (!same(from.parent, to.parent)) return {};
  const level = entries.beside(from);
  const ahead = (level.indexOf(to) - level.indexOf(from) + level.length) % level.length;
  // Entries that another choice hides are passed over: less than half way round is forward.
  return ahead === times || ahead < level.length / 2 ? { next: key } : { previous: key };
}
