export { calledAfter } from './deadCompressor.ts';
export { energyOf, energyUnit } from './energy.ts';
export { type GoalId, goalIds, goals } from './goals.ts';
export { judge } from './judge.ts';
export type { JudgedFinding } from './simulatedFindings.ts';
export {
  advise,
  tryVariant,
  type Tuned,
  type TuningRow,
  tuningTask,
  type TuningTask,
  variantsOf,
} from './task.ts';
export { faultsOf, type RunChoice, unitScenario, whatIfs } from './unitScenario.ts';
