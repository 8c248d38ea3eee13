export * from './signs.ts';
export * from './checks.ts';
export { causes, decisionNames, decisions, type Cause, type Decision } from './causes.ts';
export { fanCauseDays } from './fanDays.ts';
export { allCauses, causeDays, causesFor, type CauseDay } from './profiles.ts';
export {
  rankCauses,
  rankChecks,
  type Evidence,
  type Profile,
  type RankedCause,
  type RankedCheck,
} from './rank.ts';
