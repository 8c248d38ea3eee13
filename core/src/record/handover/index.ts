export { type PaperFor, sheetFileName, sheetOfJob } from './jobSheet.ts';
export { plainWords } from './plainWords.ts';
export { sharedPage } from './sharedPage.ts';
export {
  choiceWords,
  groupTitle,
  type LeaveBehindSheet,
  leaveBehindSheet,
  printShown,
  type SheetLine,
  type SheetOpen,
  type SheetWire,
} from './sheet.ts';
export { type Cell, type Table, tablesOf } from './tables.ts';
