export { LineFailure } from './failure.ts';
export { Line, type LineOptions } from './line.ts';
