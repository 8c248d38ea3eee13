export { type PrintedDocument, printFonts, tableLayouts } from './document.ts';
export { labelDocument, type UnitLabel } from './labels.ts';
export { type Printer, printSheet, type SheetWish } from './printSheet.ts';
