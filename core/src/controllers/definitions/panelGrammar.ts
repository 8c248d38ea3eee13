import type { ControllerDefinition } from './definition.ts';

/** Keys pressed together, one key, or whichever. */
export type Press = string | readonly string[] | 'any';

/** A key press as a menu names it: short without `seconds`, else held at least that long. */
export interface Gesture {
  readonly press: Press;
  readonly seconds?: number;
}

/** An access code on the way into a menu: counted up and down, or typed digit by digit. */
export interface CodeStep {
  readonly code: string;
  readonly by: 'count' | 'digits';
  readonly start?: number;
  readonly more?: string;
  readonly less?: string;
  readonly right?: string;
  readonly take: string;
}

export type EnterStep = Gesture | CodeStep;

/** What happens to values in hand when a menu closes. */
export type Closing = 'save' | 'discard' | 'ask';

export interface MoveRules {
  readonly next?: string;
  readonly previous?: string;
  readonly open?: string;
  readonly back?: string;
  readonly end?: 'wrap' | 'stop' | Closing;
  readonly backAtRoot?: 'stop' | Closing;
}

export interface EditRules {
  readonly starts?: 'open' | 'atOnce' | 'holding';
  readonly by?: 'steps' | 'digits';
  readonly more?: string;
  readonly less?: string;
  readonly ends?: 'stop' | 'wrap';
  readonly right?: string;
  readonly left?: string;
  readonly cursor?: 'left' | 'right';
  readonly holding?: string;
  /** A key, `release` or `move`. */
  readonly take?: string;
  readonly then?: 'stay' | 'next';
  readonly flash?: boolean;
}

export type LeaveRule =
  (Gesture & { readonly then?: Closing }) | { readonly power: 'off'; readonly then?: Closing };

export interface Senses {
  readonly seconds: number;
  readonly sets: readonly {
    readonly code: string;
    readonly probe: string;
    readonly fitted: number | string;
    readonly missing: number | string;
  }[];
}

export interface Menu {
  readonly id: string;
  readonly needs?: Readonly<Record<string, string>>;
  readonly enter: readonly EnterStep[];
  readonly senses?: Senses;
  readonly codes?: readonly string[];
  readonly layout?: 'list' | 'path';
  readonly move?: MoveRules;
  readonly edit?: EditRules;
  readonly stores?: 'taken' | 'leaving';
  readonly leave?: readonly LeaveRule[];
  readonly ask?: { readonly yes: string; readonly no: string };
  readonly timeOut?: { readonly seconds: number; readonly keeps?: 'edit' | 'taken' | 'nothing' };
  readonly advise?: string;
}

export interface PanelKey {
  readonly id: string;
  readonly label?: string;
  readonly hidden?: string;
}

export interface PanelSwitch {
  readonly id: string;
  readonly positions: readonly string[];
  readonly normal: string;
  readonly hidden?: string;
  readonly movedWith?: 'powerOff';
}

/** Something done from rest that sets no value: a defrost started by hand, the keypad locked. */
export interface Deed {
  readonly does: string;
  readonly steps: readonly Gesture[];
  readonly shows?: string;
}

/** The keys, switches and menus of a family, as data. */
export interface Panel {
  readonly display?: { readonly digits?: number; readonly text?: boolean };
  readonly keys: readonly PanelKey[];
  readonly switches?: readonly PanelSwitch[];
  readonly menus: readonly Menu[];
  readonly deeds?: readonly Deed[];
}

/** The panel of a checked definition; null where the definition says nothing of it. */
export function panelOf(definition: ControllerDefinition): Panel | null {
  return (definition['panel'] as Panel | undefined) ?? null;
}

/** True for a step that asks for an access code. */
export const isCodeStep = (step: EnterStep): step is CodeStep => 'code' in step;

/** The codes a menu holds, in its order. */
export function codesOf(definition: ControllerDefinition, menu: Menu): readonly string[] {
  return menu.codes ?? definition.parameters.map((p) => p.code);
}

/** The menu in which a whole list is keyed: the one that holds most codes, the first of them. Null for a panel without menus. */
export function mainMenuOf(definition: ControllerDefinition): Menu | null {
  const menus = panelOf(definition)?.menus ?? [];
  return menus.reduce<Menu | null>(
    (best, menu) =>
      best === null || codesOf(definition, menu).length > codesOf(definition, best).length ? menu : best,
    null,
  );
}
