export * from './test.ts';
export { commissioningTests } from './list.ts';
export { predict, type Predicted, type PullDownPoint } from './predicted.ts';
export { pullDownState, type PullDownReading, type PullDownState } from './pullDown.ts';
export type { CommissioningInput } from './facts.ts';
