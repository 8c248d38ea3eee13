import type { ControllerDefinition } from '../definitions/index.ts';
import { decode, type UnplacedRow } from '../definitions/index.ts';
import type { SheetRow } from '../definitions/index.ts';
import { encode, type LostSetting, type TranslatedRow } from './encode.ts';

/** One control's sheet in another's codes, what gets lost, and the rows that meant nothing. */
export interface Translation {
  readonly rows: readonly TranslatedRow[];
  readonly lost: readonly LostSetting[];
  readonly unplaced: readonly UnplacedRow[];
}

/** Translates a sheet from one family to another through the dictionary. */
export function translate(
  from: ControllerDefinition,
  sheet: readonly SheetRow[],
  to: ControllerDefinition,
): Translation {
  const { values, unplaced } = decode(from, sheet);
  const { rows, lost } = encode(values, to);
  return { rows, lost, unplaced };
}
