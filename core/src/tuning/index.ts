export { judge } from './judge.ts';
export * from './unitScenario.ts';
export { simulatedFindings, type JudgedFinding } from './simulatedFindings.ts';
export { calledAfter, type Called } from './deadCompressor.ts';
export { energyOf, energyUnit } from './energy.ts';
export { goalIds, goals, type Goal, type GoalId } from './goals.ts';
export type { Axis } from './axis.ts';
export {
  advise,
  tryVariant,
  tuningTask,
  variantsOf,
  type Tuned,
  type TuningRow,
  type TuningTask,
} from './task.ts';
