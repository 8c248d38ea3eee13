import type { LeaveBehindSheet, PaperFor } from '../handover/index.ts';
import type { PrintedDocument } from './document.ts';
import { fileDocument } from './fileDocument.ts';
import { siteDocument, siteTries } from './siteDocument.ts';

/** How a paper is wanted. */
export interface SheetWish {
  readonly for: PaperFor;
  readonly paper: 'A4' | 'LETTER';
  /** Of the pages for the file: small, or large for people without their glasses. The page for the site is large by itself. */
  readonly type: 'small' | 'large';
}

/** Prints a document as PDF and counts its pages. */
export type Printer = (
  document: PrintedDocument,
) => Promise<{ readonly bytes: Uint8Array; readonly pages: number }>;

/** Type of the pages for the file, pt. */
const fileType = { small: 9, large: 11.5 } as const;

/**
 * Renders a paper as PDF. The page for the site is one page, in the largest type and with as much told as fits; the pages for the file are as many as they take.
 */
export async function printSheet(
  sheet: LeaveBehindSheet,
  { for: whom, paper, type }: SheetWish,
  print: Printer,
): Promise<Uint8Array> {
  if (whom === 'file') return (await print(fileDocument(sheet, paper, fileType[type]))).bytes;
  for (const fullness of siteTries) {
    const { bytes, pages } = await print(siteDocument(sheet, paper, fullness));
    if (pages <= 1) return bytes;
  }
  return (await print(siteDocument(sheet, paper, siteTries.at(-1)!))).bytes;
}
