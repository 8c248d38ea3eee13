import { readSheet, type SheetRow } from '@brine/core/controllers/definitions';
import { isFileProblem } from '@brine/core/foundation/files';

/** A pasted or dropped sheet: its rows, or the sentence that says where it stops being one. */
export type PastedSheet = { readonly rows: readonly SheetRow[] } | { readonly problem: string };

/** Largest file taken as a sheet, bytes. */
export const LARGEST_SHEET = 1_000_000;

/** Reads text as a `*.sheet.csv`. */
export function pastedSheet(text: string): PastedSheet {
  const rows = readSheet(text);
  if (isFileProblem(rows))
    return {
      problem:
        rows.field === '(file)'
          ? `This cannot be read: ${rows.message}.`
          : `This cannot be read, ${rows.field}: ${rows.message}.`,
    };
  return rows.length === 0
    ? { problem: 'The sheet has a header but no rows; expected one line a code.' }
    : { rows };
}

/** True for pasted text that looks like more than one value, so that pasting one number into a field stays that. */
export function looksLikeSheet(text: string): boolean {
  return /\r|\n/.test(text.trim()) && /[,;\t]/.test(text);
}

/** Reads a dropped or chosen file. */
export async function droppedSheet(file: File): Promise<PastedSheet> {
  if (file.size > LARGEST_SHEET)
    return {
      problem: `${file.name} has ${Math.round(file.size / 1024)} kB; a sheet of codes has a few. Expected a *.sheet.csv.`,
    };
  const read = pastedSheet(await file.text());
  return 'problem' in read ? { problem: `${file.name}: ${read.problem}` } : read;
}
