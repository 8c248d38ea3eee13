export { JOB_FORMAT, type JobFile, readJobFile } from './fileOfJob.ts';
export { sharedPage, type SharedPage } from './sharedPage.ts';
export {
  choiceWords,
  groupTitle,
  type LeaveBehindSheet,
  leaveBehindSheet,
  printShown,
  type SheetGroup,
  type SheetWire,
} from './sheet.ts';
export { type Table, type TableName, tableNames, tablesOf } from './tables.ts';
