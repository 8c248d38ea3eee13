export { condenserAlarms } from './condenserChecks.ts';
export { type DayFigures, dayFigures } from './dayFigures.ts';
export type { AnyRemedy, WorkRemedy } from './mend.ts';
export { foundIn, type JudgedFinding } from './runFindings.ts';
export { type SeenDay, seenOf } from './seen.ts';
export { condenserDay, unitDay, type UnitDay } from './unitDay.ts';
export { type JudgementInput, judgement, type Verdict } from './verdict.ts';
