export { plan, valuesOf } from './plan.ts';
export type { PlannedValue } from './planned.ts';
export { runModeFor } from './runMode.ts';
