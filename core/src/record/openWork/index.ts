export { countWords, mustNotStay, type OpenKind } from './kinds.ts';
export { type OpenItem, VERDICT_DONE } from './openItems.ts';
export { byKind, openSummary, type OpenWork, openWork } from './openWork.ts';
export { summaryOf } from './summary.ts';
