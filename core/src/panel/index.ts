export * from './describe.ts';
export * from './act.ts';
export type { Edit, Entry, Machine, PanelState } from './machine.ts';
export { machineOf } from './machine.ts';
export * from './interpreter.ts';
export { shows } from './shows.ts';
export { CannotPlan, type Wish } from './plan/wishes.ts';
export type { PlanStep } from './plan/walker.ts';
export { planKeys, type KeyPlan } from './plan/planKeys.ts';
