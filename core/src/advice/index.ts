export * from './goods.ts';
export * from './schools.ts';
export * from './unit.ts';
export * from './plan/plan.ts';
export type { PlannedValue, PlanBasis } from './plan/planned.ts';
export { bandFor } from './plan/band.ts';
export * from './checks/finding.ts';
export * from './checks/band.ts';
export * from './checks/check.ts';
