export { type Judged, judgeLog } from './against.ts';
export { configOf, knownOf } from './known.ts';
export { type LogFindingCode, logFindingCodes } from './finding.ts';
export { logReport } from './report.ts';
