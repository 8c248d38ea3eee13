import type { Sentence } from '../../foundation/sentences/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { ParameterId } from '../../machines/identification/index.ts';
import type { Fault } from '../../machines/simulation/index.ts';
import type { LogFindingCode } from '../../logs/against/index.ts';
import type { CheckId } from './checks.ts';
import type { SignId } from './signs.ts';

/** What comes of it. */
export const decisions = ['reprogram', 'moveProbe', 'repair', 'replace', 'explain'] as const;
export type Decision = (typeof decisions)[number];

export const decisionNames: Readonly<Record<Decision, string>> = {
  reprogram: 'Reprogram it',
  moveProbe: 'Move the probe',
  repair: 'Repair the unit',
  replace: 'Replace the control',
  explain: 'Nothing is wrong: explain it',
};

/** A day of the unit with this cause: other settings, faults. Null: it cannot be simulated. */
export interface Spoiled {
  readonly values?: SettingValues;
  readonly faults?: readonly Fault[];
}

/** What a cause changes of a box, by its learned parameters: by how much in the mean (logarithm of a factor, kelvins of an offset), and how much that differs from case to case. */
export type BoxChange = Readonly<Partial<Record<ParameterId, readonly [mean: number, spread: number]>>>;

/** Something that may be behind a complaint. Shares and odds are common practice, from memory, unless they come from a simulated day. */
export interface Cause {
  readonly id: string;
  readonly name: string;
  /** Of a hundred complaints about so many. */
  readonly share: number;
  readonly decision: Decision;
  readonly does: Sentence;
  readonly fits?: (unit: UnitDescription) => boolean;
  readonly spoil?: (values: SettingValues, unit: UnitDescription) => Spoiled | null;
  /** Signs that no simulation tells, with the odds that this cause shows them. */
  readonly shows?: Readonly<Partial<Record<SignId, number>>>;
  /** Checks that this cause answers with yes, with the odds. */
  readonly checks: Readonly<Partial<Record<CheckId, number>>>;
  /** What a log says of it. */
  readonly logged: readonly LogFindingCode[];
  /** What it changes of the box that is learned from a log (ours in size, tried on boxes of other equations: docs/identification.md). */
  readonly box?: BoxChange;
}
