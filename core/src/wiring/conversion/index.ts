export { consumersOf, oldDeviceOf } from './consumers.ts';
export { type ConversionPlan, convert } from './convert.ts';
export { oldTerminals } from './oldTerminals.ts';
export { offeredVolts, takes } from './supply.ts';
export { traceOf } from './trace.ts';
