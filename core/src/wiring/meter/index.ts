export { judgeReading } from './judge.ts';
export { type Proof, proofOf } from './proof.ts';
export { wireReport } from './wireReport.ts';
