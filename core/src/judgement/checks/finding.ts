import type { Sentence } from '../../foundation/sentences/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';

/** error: it will go wrong; warning: it probably will; note: worth a look. */
export type Severity = 'error' | 'warning' | 'note';

/** What a check found: a typed code, the settings it is about, a sentence with the number first, and the numbers (°C, K, s). */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly settings: readonly (SettingId | string)[];
  readonly message: Sentence;
  readonly numbers: Readonly<Record<string, number>>;
}

/** What a check looks at. The unit is null where only the values are known. */
export interface CheckInput {
  readonly values: SettingValues;
  readonly unit: UnitDescription | null;
  /** What stood in the old control, where it is known. */
  readonly found?: SettingValues | null;
}

/** A check is one rule of the trade: values in, findings out. */
export type Check = (input: CheckInput) => readonly Finding[];

const order: Readonly<Record<Severity, number>> = { error: 0, warning: 1, note: 2 };

/** Sorts findings gravest first. */
export const bySeverity = (a: Pick<Finding, 'severity'>, b: Pick<Finding, 'severity'>): number =>
  order[a.severity] - order[b.severity];
