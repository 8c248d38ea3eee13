export { check } from './check.ts';
export { bySeverity, type Finding } from './finding.ts';
export { rangeAround, type Remedy, remedyFor, remedyWords } from './remedy.ts';
