export type { AnyRemedy } from './mend.ts';
export { foundIn, type JudgedFinding } from './runFindings.ts';
export { seenOf } from './seen.ts';
export { condenserDay } from './unitDay.ts';
export { type JudgementInput, judgement, type Verdict } from './verdict.ts';
