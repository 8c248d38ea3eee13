import { type CodeValues, type ControllerDefinition } from '../definitions/index.ts';
import { ownToUnit, type OwnReason } from './ownToUnit.ts';

/** What of a program another unit with the same controller gets, and what it keeps of its own. */
export interface ProgramCopy {
  readonly copied: CodeValues;
  /** Codes that stay as they stand there; `mayCopy`: unless somebody says so. */
  readonly left: readonly {
    readonly code: string;
    readonly why: OwnReason;
    readonly mayCopy: boolean;
  }[];
}

/**
 * A program as it is copied to another unit: all values but those that belong to the unit itself. Two devices of one line must not get the same address, so that is never copied.
 *
 * @param values of the program, by code, as the display shows them; a code that is not among them is not copied
 * @param also codes that somebody wants copied though they belong to the unit
 */
export function copyOf(
  definition: ControllerDefinition,
  values: CodeValues,
  also: ReadonlySet<string> = new Set(),
): ProgramCopy {
  const copied = new Map(values);
  const left = definition.parameters.flatMap((parameter) => {
    const { code, encoding } = parameter;
    const why = encoding.type === 'reading' ? null : ownToUnit(parameter);
    if (!why) return [];
    const mayCopy = why !== 'address' && values.has(code);
    if (!mayCopy || !also.has(code)) copied.delete(code);
    return [{ code, why, mayCopy }];
  });
  return { copied, left };
}
