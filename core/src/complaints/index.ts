export * from './signs.ts';
export * from './checks.ts';
export { decisionNames, decisions, type Cause, type Decision } from './cause.ts';
export { allCauses, causesFor } from './causesFor.ts';
export { fanCauseDays } from './fanDays.ts';
export { causeDays, type CauseDay } from './profiles.ts';
export {
  rankCauses,
  rankChecks,
  type Evidence,
  type Profile,
  type RankedCause,
  type RankedCheck,
} from './rank.ts';
