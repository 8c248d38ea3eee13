export { LineFailure } from './failure.ts';
export { Line, type LineAddress, type LineOptions } from './line.ts';
export type { Master } from './master.ts';
