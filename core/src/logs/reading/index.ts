export { LogReader } from './LogReader.ts';
export { clockIso, clockWords } from './clockWords.ts';
export {
  type ColumnRole,
  formatColumns,
  formatName,
  isTemperature,
  roleNames,
  type ValueRole,
  valueRoles,
} from './columns.ts';
export { type GuessedLayout, guessLayout } from './guessLayout.ts';
export type { LogLayout } from './layout.ts';
export type { Log, LogClock, Tidied } from './log.ts';
export { layoutProblem, readWholeLog, spanProblem } from './read.ts';
export { timeOrders } from './readTime.ts';
export { zoneClock } from './zone.ts';
