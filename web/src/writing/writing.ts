import type { PanelKey } from '@brine/core/controllers/definitions';
import {
  noConnections,
  noRegisters,
  panelPatterns,
  type ColumnRole,
  type Mend,
  type PanelAnswers,
  type RowCondition,
  type WrittenConnections,
  type WrittenPreset,
  type WrittenRegisters,
} from '@brine/core/controllers/suggest';
import { type Demonstration, type MenuAnswers, type ShownStep } from '@brine/core/controllers/showing';
import type { SettingId, SettingValue } from '@brine/core/foundation/settings';

/** A menu as somebody showed it at the real panel: one value set, key press by key press. */
export interface WrittenMenu {
  readonly name: string;
  /** First and last code that it holds; null: from the first, to the last. */
  readonly from: string | null;
  readonly to: string | null;
  readonly demonstration: Demonstration;
  readonly answers: MenuAnswers;
}

/** A panel as somebody shows it: its keys, and its menus. */
export interface WrittenShowing {
  readonly keys: readonly PanelKey[];
  readonly menus: readonly WrittenMenu[];
}

/** Something a key does outside the menu. */
export interface WrittenShortcut {
  readonly does: string;
  readonly steps: readonly ShownStep[];
}

/** An alarm code as it is typed. */
export interface WrittenAlarm {
  readonly code: string;
  readonly means: string;
  readonly severity: 'check' | 'shutdown';
  /** What to look at first, parted by semicolons. */
  readonly checks: string;
}

/** What somebody has written down and decided so far. Kept in this browser, and inside the definition once it is saved. */
export interface Writing {
  readonly text: string;
  readonly roles: readonly ColumnRole[] | null;
  readonly mends: Readonly<Record<string, Mend>>;
  readonly settings: Readonly<Record<string, SettingId | null>>;
  readonly means: Readonly<Record<string, string | boolean>>;
  /** On which choice a row depends, by its key, where somebody said so; null: on none. */
  readonly conditions: Readonly<Record<string, RowCondition | null>>;
  /** Rows whose numbers count the other way round, by their key: −1. */
  readonly signs: Readonly<Record<string, 1 | -1>>;
  /** Options that the booklet does not print and a display showed, and what else was seen there: by row. */
  readonly added: Readonly<Record<string, readonly string[]>>;
  readonly notes: Readonly<Record<string, string>>;
  readonly omitted: readonly string[];
  readonly family: string;
  readonly version: string;
  readonly summary: string;
  /** The pattern its panel works by; `shown`: the one built from key presses somebody showed. */
  readonly pattern: string;
  readonly answers: Partial<PanelAnswers>;
  readonly showing: WrittenShowing;
  readonly shortcuts: readonly WrittenShortcut[];
  readonly presets: readonly WrittenPreset[];
  /** The code that picks a preset. */
  readonly presetCode: string | null;
  /** The back of the control: supply, relays, probes, inputs; what nobody said is null. */
  readonly connections: WrittenConnections;
  /** What its display shows when something is wrong; null where nobody read that yet. */
  readonly alarms: readonly WrittenAlarm[] | null;
  /** The booklet's register table, where the control has a bus. */
  readonly registers: WrittenRegisters;
  /** Facts that no code says, by setting: what somebody confirmed or chose, null where it is not stated. Those not here stand as deduced. */
  readonly builtIn: Readonly<Partial<Record<SettingId, SettingValue | null>>>;
}

export const blankMenu: WrittenMenu = {
  name: 'Menu',
  from: null,
  to: null,
  demonstration: { code: '', value: '', steps: [] },
  answers: { accessCodes: [], timeOutSeconds: 60, keeps: 'taken', stores: 'taken' },
};
const noShowing: WrittenShowing = {
  keys: [
    { id: 'set', label: 'SET' },
    { id: 'up', label: '▲' },
    { id: 'down', label: '▼' },
  ],
  menus: [blankMenu],
};

export const blank: Writing = {
  text: '',
  roles: null,
  mends: {},
  settings: {},
  means: {},
  conditions: {},
  signs: {},
  added: {},
  notes: {},
  omitted: [],
  family: '',
  version: '1',
  summary: '',
  pattern: panelPatterns[0]!.id,
  answers: {},
  showing: noShowing,
  shortcuts: [],
  presets: [],
  presetCode: null,
  connections: noConnections,
  alarms: null,
  registers: noRegisters,
  builtIn: {},
};
