export { safetiesOf } from './bypassed.ts';
export type { WiringFinding } from './finding.ts';
export { findingsOf, wiringFindings } from './findings.ts';
export { gaugeAmps, gaugeFor } from './gauge.ts';
export { shortCircuit } from './supplies.ts';
export { fuseBefore } from './undersized.ts';
