export { type Decision, decisionNames, decisions } from './cause.ts';
export { allCauses } from './causesFor.ts';
export { type CheckId, checkIds, checkWords } from './checks.ts';
export { fanCauseDays } from './fanDays.ts';
export { type LearnedSays, learnedSays } from './learnedSays.ts';
export { type CauseDay, causeDays } from './profiles.ts';
export { rankCauses, rankChecks } from './rank.ts';
export { type Answers, type SignId, signIds, signNames, signsFor } from './signs.ts';
