import {
  displayOf,
  type CodeValue,
  type ControllerDefinition,
  type EditRules,
  type Menu,
  type Panel,
  type PanelKey,
} from '../definitions/index.ts';
import { byNames } from './byNames.ts';
import { byValues } from './byValues.ts';
import type { Demonstration, Fault, MenuAnswers } from './demonstration.ts';
import { oppositeOf } from './oppositeOf.ts';
import type { Parts } from './parts.ts';
import { differenceOf, type Difference } from './replayed.ts';
import { shownEntries } from './shownEntries.ts';
import { standingDisplay } from './standingDisplay.ts';
import { enteredBy } from './wayIn.ts';
import { waysOut } from './waysOut.ts';

/** A menu that was shown by its keys. */
export interface ShownMenu {
  readonly menu: Menu;
  /** The display has words, not codes. */
  readonly text: boolean;
  /** The values at the unit before, as far as they were seen. */
  readonly present: ReadonlyMap<string, CodeValue>;
}

/**
 * Builds the grammar of a menu from what somebody showed at the real panel: how it is entered, how one moves, how a value is changed and taken, how it is left. What the steps
 * leave open is tried in turn, and the first grammar under which the interpreter shows the very same displays is taken, so the result is proven by playing it back.
 *
 * @param definition the parameters, without a panel
 * @param codes the codes that this menu holds, in its order; null: all
 */
export function grammarFrom(
  definition: ControllerDefinition,
  keys: readonly PanelKey[],
  codes: readonly string[] | null,
  demonstrations: readonly Demonstration[],
  answers: MenuAnswers,
): ShownMenu | Fault {
  const [first] = demonstrations;
  if (!first || first.steps.length === 0)
    return { problem: 'Show the keys for one value first.', step: null };
  const asDelivered = playedBack(definition, keys, codes, demonstrations, answers, new Map());
  const standing = standingDisplay(definition, first.steps);
  if ('menu' in asDelivered || standing.size === 0) return asDelivered;
  const asItStands = playedBack(definition, keys, codes, demonstrations, answers, standing);
  return 'menu' in asItStands ? asItStands : asDelivered;
}

/** The first grammar that shows the same displays, the display standing as given. */
function playedBack(
  definition: ControllerDefinition,
  keys: readonly PanelKey[],
  codes: readonly string[] | null,
  demonstrations: readonly Demonstration[],
  answers: MenuAnswers,
  standing: ReadonlyMap<string, CodeValue>,
): ShownMenu | Fault {
  const first = demonstrations[0]!;
  const parts = partsOf(definition, codes, first, answers, standing);
  if ('problem' in parts) return parts;
  const present = new Map([...standing, ...parts.present]);
  let furthest: Difference | null = null;
  for (const menu of candidates(parts, keys, codes, answers)) {
    const whole = { ...definition, panel: panelOf(keys, [{ menu, ...parts }]) };
    const differences = demonstrations.map((one) => differenceOf(whole, one, present));
    const different = differences.find((one) => one !== null) ?? null;
    if (!different) return { menu, text: parts.text, present };
    if (!furthest || different.step > furthest.step) furthest = different;
  }
  if (!furthest) return { problem: 'The last step is no way to leave a menu.', step: first.steps.length - 1 };
  return {
    problem: `Step ${furthest.step + 1}: the panel built from these steps shows ${furthest.shows} where ${furthest.expected} was shown. Check that step and the one before.`,
    step: furthest.step,
  };
}

/** A panel of menus that were shown. */
export const panelOf = (
  keys: readonly PanelKey[],
  shown: readonly { readonly menu: Menu; readonly text: boolean }[],
): Panel => {
  const text = shown.some((one) => one.text);
  return { display: { digits: text ? 16 : 4, text }, keys, menus: shown.map(({ menu }) => menu) };
};

/** Takes a demonstration apart: into the menu, to the parameter, the value, and out again. */
function partsOf(
  definition: ControllerDefinition,
  codes: readonly string[] | null,
  { code, value, steps }: Demonstration,
  answers: MenuAnswers,
  standing: ReadonlyMap<string, CodeValue>,
): Parts | Fault {
  const order = definition.parameters.filter((p) => codes === null || codes.includes(p.code));
  const target = order.find((p) => p.code === code);
  if (!target)
    return { problem: `Choose which parameter is set: ${code || 'none'} is not in this menu.`, step: null };
  if (steps.at(-1)!.shows !== null)
    return {
      problem: 'The last step must end at the normal display: show how the menu is left.',
      step: steps.length - 1,
    };
  const entered = enteredBy(steps, answers.accessCodes);
  if ('problem' in entered) return entered;
  const { enter, at } = entered;
  const entries = shownEntries(
    order,
    steps.slice(at).map(({ shows }) => shows),
  );
  const goal = { parameter: target, value, display: displayOf(definition, standing) };
  return entries ? byNames(steps, at, enter, entries, goal) : byValues(steps, at, enter, order, goal);
}

/** The grammars that may be meant: what the steps leave open, simplest first. */
function* candidates(
  parts: Parts,
  keys: readonly PanelKey[],
  codes: readonly string[] | null,
  answers: MenuAnswers,
): Generator<Menu> {
  for (const edit of editsOf(parts))
    for (const out of waysOut(parts, keys, answers)) {
      const move = { ...parts.move, ...out.move };
      const timeOut =
        out.menu.timeOut ??
        (answers.timeOutSeconds > 0 ? { seconds: answers.timeOutSeconds, keeps: answers.keeps } : null);
      yield {
        id: 'all',
        enter: parts.enter,
        ...(codes && { codes }),
        ...(parts.layout === 'path' && { layout: parts.layout }),
        move: { ...move, ...otherWay(keys, move, 'next', 'previous', answers.previous) },
        edit: {
          ...edit,
          ...otherWay(keys, edit, 'more', 'less', answers.less),
          ...otherWay(keys, edit, 'less', 'more', answers.more),
        },
        stores: answers.stores,
        ...out.menu,
        ...(timeOut && { timeOut }),
      };
    }
}

/**
 * The key for the way that was not shown: what somebody said, none where they said so, else the partner of the key for the other way. A key that does something else there already
 * stays what it is.
 */
function otherWay<Shown extends string, Other extends string>(
  keys: readonly PanelKey[],
  rules: object,
  shown: Shown,
  other: Other,
  said: string | null | undefined,
): { readonly [rule in Other]?: string } {
  const stands = rules as Readonly<Record<string, unknown>>;
  if (stands[other] !== undefined || said === null) return {};
  const key = said ?? (typeof stands[shown] === 'string' ? oppositeOf(keys, stands[shown]) : null);
  if (key === null || Object.values(stands).includes(key)) return {};
  return { [other]: key } as { readonly [rule in Other]?: string };
}

function editsOf({ edit }: Parts): readonly EditRules[] {
  if (edit.starts === 'holding')
    return [
      { ...edit, then: 'stay' },
      { ...edit, then: 'next' },
    ];
  const ends: readonly EditRules[] = [edit, { ...edit, ends: 'wrap' }];
  return edit.by === 'digits' ? [edit, { ...edit, cursor: 'right' }] : ends;
}
