import type { CodeValue, CodeValues } from '../../controllers/definitions/index.ts';
import type { Condition } from '../../controllers/panel/index.ts';

/** The kinds of exercise on a panel. */
export const drillKinds = ['setValues', 'findChanged', 'restoreLocked', 'clearAlarms', 'deeds'] as const;
/** Every exercise that progress is kept of: those on the panel alone, and the warm box behind it. */
export const practiceKinds = [...drillKinds, 'whyWarm'] as const;
export type PracticeKind = (typeof practiceKinds)[number];
export type DrillKind = (typeof drillKinds)[number];

/** One code and the value it must end at. */
export interface DrillValue {
  readonly code: string;
  readonly value: CodeValue;
}

/** An exercise: how the control stands at its beginning, and how it must stand at the end. */
export interface Drill {
  readonly kind: DrillKind;
  readonly begins: CodeValues;
  readonly condition: Condition;
  /** What is asked, code by code. For `findChanged` the values of the sheet beside the cabinet. */
  readonly goal: readonly DrillValue[];
  /** What must be done from the standard display, in this order. */
  readonly deeds: readonly string[];
  /** Memory at the end, every code. */
  readonly ends: CodeValues;
  /** True where the keys must be locked at the end, false where they must be free; null where it does not matter. */
  readonly endsLocked: boolean | null;
}

/** Numbers in [0, 1), handed in: the core has no chance of its own. */
export type Chance = () => number;
