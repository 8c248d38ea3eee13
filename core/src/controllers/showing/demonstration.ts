import type { DisplayState, Parameter } from '../definitions/index.ts';
import type { Act } from '../panel/index.ts';

/** Something done at the real panel, and what its display showed after it; null: the normal display. */
export interface ShownStep {
  readonly act: Act;
  readonly shows: string | null;
}

/** One value set at the real panel, from the normal display and back to it, step by step. */
export interface Demonstration {
  /** The parameter that was set, and the value it was set to as the display shows it. */
  readonly code: string;
  readonly value: string;
  readonly steps: readonly ShownStep[];
}

/** What a demonstration is after: the parameter, the value as the display shows it, and how the display stands. */
export interface Goal {
  readonly parameter: Parameter;
  readonly value: string;
  readonly display: DisplayState;
}

/** What no demonstration shows: which keys go the other way (null: none; left out: the partner of the key that was shown), when the menu closes by itself, what it keeps then. */
export interface MenuAnswers {
  /** Access codes in the order in which they are asked for; none: an empty list. */
  readonly accessCodes: readonly string[];
  readonly previous?: string | null;
  readonly less?: string | null;
  readonly more?: string | null;
  readonly timeOutSeconds: number;
  readonly keeps: 'edit' | 'taken' | 'nothing';
  /** Whether a value that was taken is lost where the menu is not left the proper way. */
  readonly stores: 'taken' | 'leaving';
}

/** Why steps make no grammar, and which of them, from 0; null where it is none of them. */
export interface Fault {
  readonly problem: string;
  readonly step: number | null;
}

/** Steps as a panel does them: a key that is held down over several presses is let go after the last of them. */
export const asDone = (steps: readonly ShownStep[]): readonly ShownStep[] =>
  steps.map((step, i) => {
    if (!step.act.holding) return step;
    const next = steps[i + 1]?.act.holding;
    const { keep: _, ...act } = step.act;
    const goesOn = next !== undefined && next.join() === step.act.holding.join();
    return { ...step, act: goesOn ? { ...act, keep: true } : act };
  });
