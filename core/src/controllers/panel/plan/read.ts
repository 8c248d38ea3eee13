import type { CodeValue, CodeValues } from '../../definitions/index.ts';
import { panelAtRest } from '../interpreter.ts';
import type { Machine } from '../machine.ts';
import { printValue } from '../shows.ts';
import { strokesFor, type CodeStrokes } from './strokes.ts';
import { CannotPlan } from './wishes.ts';

/** Strokes that bring a code's value on the display without changing it. */
export interface ReadingStrokes extends Omit<CodeStrokes, 'turns'> {
  /** The step after which the value shows: what is read there is unknown beforehand. −1 where it shows already. */
  readonly valueAt: number;
}

/**
 * The strokes that read a code: the way there, the value on the display, and out of it again untouched. `known` holds what was read so far;
 * codes not read yet are taken at their default, so that a code one of them hides is found once that one is read. Throws as
 * {@link strokesFor} does.
 */
export function strokesToRead(
  machine: Machine,
  known: CodeValues,
  code: string,
  from: string | null,
): ReadingStrokes {
  const start = panelAtRest(machine, known);
  const parameter = machine.parameters.get(code)!;
  const master = parameter.visibleWhen?.code;
  if (master !== undefined && !known.has(master))
    throw new CannotPlan(`${code}: ${master} is read first, since it says whether ${code} is in the menu`);
  const value = start.memory.get(code)!;
  const { steps, ends } = strokesFor(machine, known, { code, value }, from);
  const printed = printValue(machine, start, parameter, value);
  return { steps, ends, valueAt: steps.findLastIndex((step) => step.shows === printed) };
}

/**
 * The code at which the display stands once a value was read there: some panels go on to the next code, and which that is may hang on what was
 * read.
 */
export function afterReading(
  machine: Machine,
  known: CodeValues,
  read: { readonly code: string; readonly value: CodeValue },
  from: string | null,
): string | null {
  return strokesToRead(machine, new Map(known).set(read.code, read.value), read.code, from).ends;
}
