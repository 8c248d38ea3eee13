export type { StartCause } from './cause.ts';
export { earliestStarts, type EarliestStart } from './earliestStarts.ts';
export { type StartOutput, startOutputs } from './runUnder.ts';
