export { handoverProgress } from './handing.ts';
export {
  byKind,
  countWords,
  missingEvidence,
  type OpenAnswer,
  type OpenItem,
  type OpenKind,
  openKinds,
  openKindWords,
  openSummary,
  type OpenWork,
  openWork,
  VERDICT_DONE,
} from './openItems.ts';
export { summaryOf } from './summary.ts';
