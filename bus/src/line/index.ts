export { type FailureKind, LineFailure } from './failure.ts';
export { Line, type LineAddress, type LineOptions } from './line.ts';
