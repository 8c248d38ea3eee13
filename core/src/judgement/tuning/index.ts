export { calledAfter } from './deadCompressor.ts';
export { energyOf, energyUnit } from './energy.ts';
export { type GoalId, goalIds, goals } from './goals.ts';
export {
  advise,
  tryVariant,
  type Tuned,
  type TuningRow,
  tuningTask,
  type TuningTask,
  variantsOf,
} from './task.ts';
export { hasOwnBox, usualBox } from './ownBox.ts';
export { faultsOf, isLearnable, type RunChoice, unitScenario, whatIfsFor } from './unitScenario.ts';
