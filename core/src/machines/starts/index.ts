export { type StartCause, startCauses } from './cause.ts';
export { earliestStarts, type EarliestStart, type WayToStart } from './earliestStarts.ts';
export { type StartOutput, startOutputs } from './runUnder.ts';
