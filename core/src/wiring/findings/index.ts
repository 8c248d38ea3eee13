export { safetiesOf } from './bypassed.ts';
export { volts as voltWords, type WiringFinding } from './finding.ts';
export { findingsOf, wiringFindings } from './findings.ts';
export { gaugeAmps, gaugeFor } from './gauge.ts';
export { OFF, ratedVolts } from './parts.ts';
export { leadVolts, shortCircuit } from './supplies.ts';
export { fuseBefore } from './undersized.ts';
