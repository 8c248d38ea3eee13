import type { LeaveBehindSheet } from '../handover/index.ts';
import type { PrintedDocument } from './document.ts';
import { sheetDocument } from './sheetDocument.ts';

/** How a sheet is wanted. */
export interface SheetWish {
  readonly paper: 'A4' | 'LETTER';
  readonly type: 'small' | 'large';
}

/** Prints a document as PDF and counts its pages. */
export type Printer = (
  document: PrintedDocument,
) => Promise<{ readonly bytes: Uint8Array; readonly pages: number }>;

/** Type sizes tried, pt, and on how many pages; below the last nobody reads it in a cabinet. */
const tries = {
  small: [
    [8, 1],
    [7.2, 1],
    [6.5, 1],
    [5.8, 1],
    [8, 2],
    [7.2, 2],
    [6.5, 2],
  ],
  large: [
    [11, 2],
    [10, 2],
    [9, 2],
    [8, 2],
    [7.2, 2],
  ],
} as const;
const SMALLEST = 5.8;

/** Whether a sheet carries what was wired, read and calibrated: then it has a second page from the start. */
const isLong = (sheet: LeaveBehindSheet) =>
  sheet.wires.length + sheet.readings.length + sheet.calibrations.length > 0;

/**
 * Renders the sheet as a PDF, A4 or Letter: settings on the first page, wires, readings and calibrations on a second, in the largest type that fits. Large type is for
 * people without their glasses and takes two pages. More come only where even the smallest type does not fit.
 */
export async function printSheet(
  sheet: LeaveBehindSheet,
  { paper, type }: SheetWish,
  print: Printer,
): Promise<Uint8Array> {
  for (const [size, most] of tries[type]) {
    if (most === 1 && isLong(sheet)) continue;
    const { bytes, pages } = await print(sheetDocument(sheet, paper, size, type));
    if (pages <= most) return bytes;
  }
  return (await print(sheetDocument(sheet, paper, SMALLEST, type))).bytes;
}
