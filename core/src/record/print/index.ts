export { type PrintedDocument, printFonts, tableLayouts } from './document.ts';
export { labelDocument } from './labels.ts';
export { type Printer, printSheet, type SheetWish } from './printSheet.ts';
export { reportDocument } from './reportDocument.ts';
