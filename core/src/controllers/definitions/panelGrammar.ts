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

/** True for a step that asks for an access code. */
export const isCodeStep = (step: EnterStep): step is CodeStep => 'code' in step;
