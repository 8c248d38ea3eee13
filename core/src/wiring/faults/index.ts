export { breakNetwork } from './broken.ts';
export { diagnose, type Diagnosis } from './diagnose.ts';
export { type Fault, faultWords, firstFaults, laterFaults, laterKinds, wiresOfFault } from './fault.ts';
