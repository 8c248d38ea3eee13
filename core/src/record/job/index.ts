export { type AtCabinet, atCabinetOf, knownCodes, menuMayCloseAfter, wishesAtCabinet } from './atCabinet.ts';
export { type BorrowedThing, outNow } from './borrowed.ts';
export { boxFactsOf, factsOf, frostLooksOf, humidityOf } from './facts.ts';
export { judgementInput } from './judged.ts';
export { boxMark, earlierBoxOf, learnedBoxOf, staleWords } from './learnedBox.ts';
export { movedCode } from './moving.ts';
export { predictionOf } from './prediction.ts';
export { type ChosenValue, defaultDecision, type Program, programOf, type ProgramRow } from './program.ts';
export {
  byGroup,
  displayError,
  followUpOfSkipped,
  type Proving,
  provingOf,
  type RunTest,
  tally,
} from './proving.ts';
export { type Progress, progressOf } from './stations.ts';
export {
  answersOf,
  complaintOf,
  foundSheet,
  mechanicalMeaning,
  openQuestions,
  plateLines,
  surveyProblem,
} from './survey.ts';
export { type RunStep, type Trip, tripOf } from './trip.ts';
export { type Variant, variantsOfJob } from './variants.ts';
export {
  airNow,
  type AskedOnSite,
  readsTheAir,
  siteQuestionsOf,
  visitOf,
  visitQuestion,
} from './visiting.ts';
export { forTheFinder, type JobPicture, type JobWiring, type PowerLog, wiringOf } from './wiring.ts';
