import type { ControllerDefinition, Deed, Panel } from '@brine/core/controllers/definitions';
import {
  asDone,
  gestureOf,
  grammarFrom,
  panelOfMenus,
  type ShowingFault,
  type ShownMenu,
} from '@brine/core/controllers/showing';
import type { WrittenMenu, WrittenShortcut, WrittenShowing } from './writing.ts';

/** A panel as it was shown: what came of each menu, and the panel where all of them came to something. */
export interface ShownPanel {
  readonly menus: readonly (ShownMenu | ShowingFault)[];
  readonly panel: Panel | null;
}

/** Builds the panel that somebody showed; each menu is played back before it counts. */
export function shownPanel(definition: ControllerDefinition, { keys, menus }: WrittenShowing): ShownPanel {
  const shown = menus.map((menu, i) => {
    const { demonstration } = menu;
    const one = grammarFrom(
      definition,
      keys,
      codesOf(definition, menu),
      [{ ...demonstration, steps: asDone(demonstration.steps) }],
      menu.answers,
    );
    return 'menu' in one ? { ...one, menu: { ...one.menu, id: i === 0 ? 'all' : `menu-${i + 1}` } } : one;
  });
  const whole = shown.filter((one): one is ShownMenu => 'menu' in one);
  return {
    menus: shown,
    panel: whole.length === menus.length && menus.length > 0 ? panelOfMenus(keys, whole) : null,
  };
}

/** The codes of a menu from the first to the last that were named; null: all. */
export function codesOf(
  { parameters }: ControllerDefinition,
  { from, to }: Pick<WrittenMenu, 'from' | 'to'>,
): readonly string[] | null {
  if (from === null && to === null) return null;
  const codes = parameters.map((p) => p.code);
  const [first, last] = [
    from === null ? 0 : codes.indexOf(from),
    to === null ? codes.length - 1 : codes.indexOf(to),
  ];
  return codes.slice(Math.max(0, first), Math.max(first, last) + 1);
}

/** What keys do outside the menu, as the panel's grammar has it. */
export const deedsOf = (shortcuts: readonly WrittenShortcut[]): readonly Deed[] =>
  shortcuts.flatMap(({ does, steps }) => {
    const gestures = steps.flatMap(({ act }) => gestureOf(act) ?? []);
    const shows = steps.at(-1)?.shows ?? null;
    return gestures.length === 0 ? [] : [{ does, steps: gestures, ...(shows && { shows }) }];
  });
