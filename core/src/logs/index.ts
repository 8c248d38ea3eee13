export * from './columns.ts';
export type { ColumnUse, LogLayout } from './layout.ts';
export { guessLayout, type GuessedLayout } from './guessLayout.ts';
export { timeOrders, type TimeOrder } from './readTime.ts';
export { LogReader } from './LogReader.ts';
export { layoutProblem, readWholeLog } from './read.ts';
export type { Log, LogClock, Tidied } from './log.ts';
export { zoneClock } from './zone.ts';
export { analyse } from './analysis/analyse.ts';
export {
  nothingKnown,
  type Analysis,
  type BandChange,
  type Confidence,
  type KnownSettings,
} from './analysis/analysis.ts';
export type { Defrost, EndedBy, FoundBy } from './analysis/defrosts.ts';
export type { Gap } from './analysis/grid.ts';
export { meanKineticTemperature } from './analysis/kinetic.ts';
export { judgeLog, type Judged } from './against/against.ts';
export { logFindingCodes, type LogFinding, type LogFindingCode } from './against/finding.ts';
export { configOf, knownOf, plannedBand } from './against/known.ts';
export { clockIso, clockWords } from './clockWords.ts';
export { logReport } from './report.ts';
