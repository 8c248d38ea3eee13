export { energisedParts, isDirectCurrent, isEnergised, reportState, type StateReport } from './report.ts';
