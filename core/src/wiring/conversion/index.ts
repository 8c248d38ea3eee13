export { consumersOf, oldDeviceOf } from './consumers.ts';
export { convert } from './convert.ts';
export type { ConversionPlan } from './plan.ts';
export { oldTerminals } from './oldTerminals.ts';
export { offeredVolts, takes } from './supply.ts';
export { traceOf } from './trace.ts';
