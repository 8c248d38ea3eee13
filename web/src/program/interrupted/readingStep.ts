import type { CodeValues } from '@brine/core/controllers/definitions';
import { CannotPlan, strokesToRead, type Machine } from '@brine/core/controllers/panel';
import { readingLines, type CabinetStroke } from '../../shared/cabinet/cabinetStroke.ts';

/** Strokes that bring one code's value on the display, and those that lead out of it again once it was read. */
export interface ReadingStep {
  readonly lines: readonly CabinetStroke[];
  readonly rest: readonly CabinetStroke[];
  /** The code at which the display stands after all of them. */
  readonly ends: string | null;
  readonly problem: string | null;
}

/** The strokes to read a code from where the display stands. Nothing in the control is changed by them. */
export function readingStep(
  machine: Machine,
  memory: CodeValues,
  code: string,
  from: string | null,
): ReadingStep {
  try {
    const strokes = strokesToRead(machine, memory, code, from);
    const { valueAt, ends } = strokes;
    const lines = readingLines(machine.panel, strokes);
    return { lines: lines.slice(0, valueAt + 1), rest: lines.slice(valueAt + 1), ends, problem: null };
  } catch (error) {
    if (!(error instanceof CannotPlan)) throw error;
    return { lines: [], rest: [], ends: code, problem: error.message };
  }
}
