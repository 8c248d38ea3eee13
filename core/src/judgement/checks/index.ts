export { check } from './check.ts';
export { bySeverity, type Finding } from './finding.ts';
export { type Remedy, remedyFor, remedyWords } from './remedy.ts';
