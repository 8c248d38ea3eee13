import {
  codesOf,
  panelOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type Menu,
  type Panel,
  type Parameter,
} from '../definitions/index.ts';
import type { Condition } from './condition.ts';

/** A family's panel ready to run, with the probes that are fitted. */
export interface Machine {
  readonly definition: ControllerDefinition;
  readonly panel: Panel;
  readonly parameters: ReadonlyMap<string, Parameter>;
  readonly menus: ReadonlyMap<string, Menu>;
  /** Codes of each menu, in its order. */
  readonly codes: ReadonlyMap<string, readonly string[]>;
  readonly fitted: (probe: string) => boolean;
}

/** A list entry: a parameter, or a folder by its whole path. */
export type Entry = { readonly code: string } | { readonly folder: readonly string[] };

/** A value being changed. Digits stand left to right without the point; with a sign place the cursor counts it as place 0. */
export type Edit =
  | { readonly by: 'number'; readonly value: number }
  | { readonly by: 'option'; readonly index: number }
  | {
      readonly by: 'digits';
      readonly digits: readonly number[];
      readonly negative: boolean;
      readonly signed: boolean;
      readonly cursor: number;
    };

/** A menu or deed whose first steps have been done. */
export interface Follower {
  readonly kind: 'menu' | 'deed';
  readonly index: number;
  readonly step: number;
  /** The access code as it stands. */
  readonly code: { readonly digits: readonly number[]; readonly cursor: number } | null;
}

/** Everything a panel remembers. Plain data: an act makes a new one. */
export interface PanelState {
  readonly phase: 'off' | 'rest' | 'entering' | 'busy' | 'list' | 'edit' | 'ask';
  readonly memory: CodeValues;
  /** Taken but not saved yet. */
  readonly hand: CodeValues;
  readonly switches: ReadonlyMap<string, string>;
  readonly idle: number;
  readonly following: readonly Follower[];
  readonly menu: string | null;
  readonly folder: readonly string[];
  readonly at: Entry | null;
  readonly edit: Edit | null;
  readonly holding: string | null;
  readonly busy: number;
  /** What the last deed shows, until the next act. */
  readonly message: string | null;
  /** Deeds done so far, in order. */
  readonly deeds: readonly string[];
  readonly condition: Condition;
}

/** The panel of a definition, or null where it has none. All probes are fitted unless told. */
export function machineOf(
  definition: ControllerDefinition,
  fitted: (probe: string) => boolean = () => true,
): Machine | null {
  const panel = panelOf(definition);
  if (!panel) return null;
  return {
    definition,
    panel,
    parameters: new Map(definition.parameters.map((p) => [p.code, p])),
    menus: new Map(panel.menus.map((m) => [m.id, m])),
    codes: new Map(panel.menus.map((m) => [m.id, codesOf(definition, m)])),
    fitted,
  };
}

/** The menu that is open. */
export function menuOf(machine: Machine, state: PanelState): Menu {
  return machine.menus.get(state.menu!)!;
}

/** The parameter under the cursor, if it is one. */
export function parameterAt(machine: Machine, state: PanelState): Parameter | null {
  return state.at && 'code' in state.at ? (machine.parameters.get(state.at.code) ?? null) : null;
}

/** What a panel that stands at its standard display has open, in hand and under way: nothing. */
export const nothingOpen = {
  phase: 'rest',
  hand: new Map<string, CodeValue>(),
  idle: 0,
  following: [],
  menu: null,
  folder: [],
  at: null,
  edit: null,
  holding: null,
  busy: 0,
} as const satisfies Partial<PanelState>;

/** Codes that a menu sets by itself when it senses its probes. */
export function sensedCodes(machine: Machine): ReadonlySet<string> {
  return new Set(machine.panel.menus.flatMap((m) => (m.senses?.sets ?? []).map((s) => s.code)));
}
