export { lowerBound } from './lowerBound.ts';
export { median, middleMean, quantile, spreadOf } from './statistics.ts';
export { straightLine } from './straightLine.ts';
