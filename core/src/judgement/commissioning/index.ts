export { commissioningTests } from './list.ts';
export {
  type CommissionedBox,
  commissionedBoxes,
  predict,
  type Predicted,
  type PullDownPoint,
} from './predicted.ts';
export { paceOf, type PullDownReading, pullDownState } from './pullDown.ts';
export {
  type CommissioningTest,
  groupNames,
  groups,
  judgeValue,
  type Measure,
  type TestResult,
} from './test.ts';
export { testName } from './names.ts';
