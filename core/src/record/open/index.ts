export { handoverProgress } from './handing.ts';
export {
  byKind,
  countWords,
  type OpenItem,
  type OpenKind,
  openSummary,
  type OpenWork,
  openWork,
  VERDICT_DONE,
} from './openItems.ts';
export { summaryOf } from './summary.ts';
