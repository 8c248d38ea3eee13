export { consumersOf, oldDeviceOf } from './consumers.ts';
export { type ConversionPlan, convert } from './convert.ts';
export { oldTerminals } from './oldTerminals.ts';
export {
  COIL_VA,
  contactorFrame,
  type Demand,
  demandOf,
  outputOfRole,
  relayFor,
  tooWeak,
} from './outputs.ts';
export { offeredVolts, takes } from './supply.ts';
export { traceOf } from './trace.ts';
