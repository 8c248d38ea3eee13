export { askController, type Asking, type AskPlan, lookUntil, type Outcome } from './ask.ts';
export { askSaving, type SavingPlan } from './askSaving.ts';
export type { Bath, HandAct, Seen } from './bench.ts';
export type { Doubt } from './doubt.ts';
export { doubtsOf } from './doubts.ts';
